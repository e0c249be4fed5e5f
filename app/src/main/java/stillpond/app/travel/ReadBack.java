package stillpond.app.travel;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.OptionalLong;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import stillpond.app.card.CardSoundness;
import stillpond.app.history.History;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.ProjectMotifs;
import stillpond.app.sheet.SheetSoundness;
import stillpond.core.palette.Staging;
import stillpond.core.refusal.Refusal;

/** Reads a project that was just taken from a file by the rules that all else is read by. What these trip over is refused before it counts. */
@Component
class ReadBack {

    private static final Logger LOG = LoggerFactory.getLogger(ReadBack.class);

    private final JdbcClient database;
    private final EntityManager entities;
    private final Palettes palettes;
    private final Stagings stagings;
    private final ProjectMotifs motifs;
    private final CardSoundness cards;
    private final History history;
    private final SheetSoundness sheets;

    ReadBack(
            JdbcClient database,
            EntityManager entities,
            Palettes palettes,
            Stagings stagings,
            ProjectMotifs motifs,
            CardSoundness cards,
            History history,
            SheetSoundness sheets) {
        this.database = database;
        this.entities = entities;
        this.palettes = palettes;
        this.stagings = stagings;
        this.motifs = motifs;
        this.cards = cards;
        this.history = history;
        this.sheets = sheets;
    }

    /** @throws Refusal naming the part that cannot be read */
    void require(UUID project) {
        readable("The cards", () -> palettes.of(project));
        readable("The lights and wardrobes", () -> {
            Staging staging = stagings.of(project);
            staging.lights();
            staging.kept();
            palettes.of(project).cards().forEach(card -> staging.wardrobes(card.id()));
        });
        readable("The motifs", () -> motifs.inProject(project));
        readable("The proposals, reference pictures or print condition", () -> cards.require(project));
        readable("The numbers of regions", () -> requireCounted(project));
        for (Named sheet : sheets(project)) {
            readable("The sheet '" + sheet.title() + "'", () -> {
                sheets.require(project, sheet.id());
            });
            forget();
        }
        readable("The history", () -> readLog(project));
    }

    private void readLog(UUID project) {
        OptionalLong last = OptionalLong.of(0);
        while (last.isPresent()) {
            last = history.readOn(project, last.getAsLong());
            forget();
        }
    }

    /** Or everything that was read would stay in memory until the end. What was made but is not written yet, such as who the lead is, is written first. */
    private void forget() {
        entities.flush();
        entities.clear();
    }

    private record Named(UUID id, String title) {}

    private List<Named> sheets(UUID project) {
        return database.sql("select id, title from sheet where project_id = :project")
                .param("project", project)
                .query(Named.class)
                .list();
    }

    private void requireCounted(UUID project) {
        long wrong =
                database.sql("""
                select count(*) from layer l join sheet s on s.id = l.sheet_id left join layer_cells c on c.layer_id = l.id
                where s.project_id = :project
                      and (c.layer_id is null or cardinality(c.regions) <> l.cell_count
                           or cardinality(coalesce(c.areas, c.regions)) <> l.cell_count)""").param("project", project).query(Long.class).single();
        if (wrong > 0) {
            throw new Refusal("There is one for each cell.");
        }
    }

    private static void readable(String what, Runnable reading) {
        try {
            reading.run();
        } catch (RuntimeException e) {
            LOG.info("A project file was refused: {}", what, e);
            throw new Refusal(what + " of the file cannot be read here.", e);
        }
    }
}
