package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.reading.PictureFiles;
import stillpond.core.cell.CellMap;
import stillpond.core.format.MotifOfCells;
import stillpond.core.format.MotifReader;
import stillpond.core.format.OwnMotifs;
import stillpond.core.format.PlaneCodec;
import stillpond.core.refusal.Refusal;
import stillpond.core.render.Motif;
import stillpond.core.render.Motifs;

/** The motifs of patterns that a project can use: ours, and those that somebody brought. */
@Service
@Transactional
public class ProjectMotifs {

    private static final int MOST = 200;
    private static final int MOST_READ = 1000;

    private final MotifRepository motifs;
    private final Planes planes;
    private final Clock clock;
    private final OwnMotifs own = new OwnMotifs();
    private final PictureFiles pictureFiles;
    private final LayerFills fills;

    /** By their content, which never changes under one name. */
    private final Cache<String, Motif> read =
            Caffeine.newBuilder().maximumSize(MOST_READ).build();

    ProjectMotifs(MotifRepository motifs, Planes planes, PictureFiles pictureFiles, LayerFills fills, Clock clock) {
        this.motifs = motifs;
        this.planes = planes;
        this.pictureFiles = pictureFiles;
        this.fills = fills;
        this.clock = clock;
    }

    /** @param name by which fills know it */
    public record Named(String name, String title, int inks) {}

    /** Ours first, then those brought, oldest first. */
    @Transactional(readOnly = true)
    public List<Named> inProject(UUID project) {
        List<Named> all = new ArrayList<>();
        OwnMotifs.NAMES.forEach(name -> all.add(named(name, name, own)));
        Motifs brought = of(project);
        motifs.findByProjectIdOrderByMadeAtAscIdAsc(project)
                .forEach(motif -> all.add(named(motif.name(), motif.title(), brought)));
        return all;
    }

    private static Named named(String name, String title, Motifs among) {
        return new Named(name, title, among.find(name).orElseThrow().inks());
    }

    @Transactional(readOnly = true)
    public Motifs of(UUID project) {
        return name -> own.find(name).or(() -> brought(project, name));
    }

    private Optional<Motif> brought(UUID project, String name) {
        UUID id;
        try {
            id = UUID.fromString(name);
        } catch (IllegalArgumentException ofNoOne) {
            return Optional.empty();
        }
        return motifs.findByIdAndProjectId(id, project)
                .map(motif -> read.get(motif.content(), content -> read(planes.content(content))));
    }

    private Motif read(byte[] svg) {
        return pictureFiles.with(svg, MotifReader.limits(), read -> MotifReader.of(read.picture()));
    }

    /**
     * A pattern that was made of cells of a sheet.
     *
     * @param swatches that its colours wore there, in their order; null for what lay between
     * @param heightPercent how high a repeat is, in percent of its width
     */
    public record MadeOfCells(Named motif, List<@Nullable UUID> swatches, int heightPercent) {}

    /** Makes a pattern of cells of a sheet's layer. @throws Refusal if they make none; nothing is kept then */
    @Transactional(propagation = Propagation.SUPPORTS)
    public MadeOfCells make(Sheet sheet, String title, Collection<Integer> cells) {
        Layer layer = sheet.layer();
        if (cells.isEmpty() || !layer.hasCells(cells)) {
            throw new Refusal("Gather the regions that a pattern is to be made of. Nothing was made.");
        }
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        MotifOfCells drawn = MotifOfCells.of(map, cells, fills.worn(layer.id()));
        int[] colours =
                pictureFiles.with(drawn.svg(), MotifReader.limits(), read -> MotifReader.coloursOf(read.picture()));
        Named made = bring(sheet.project(), title, drawn.svg());
        List<UUID> swatches = Arrays.stream(colours)
                .mapToObj(drawn.swatchByColour()::get)
                .collect(Collectors.toCollection(ArrayList::new));
        return new MadeOfCells(made, swatches, drawn.heightPercent());
    }

    /** @throws stillpond.core.format.UnreadableFile with a message for the user; nothing is kept then */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Named bring(UUID project, String fileName, byte[] svg) {
        Motif motif = read(svg);
        int present = motifs.countByProjectId(project);
        if (present >= MOST) {
            throw new Refusal("A project keeps up to " + MOST + " patterns of its own.");
        }
        StoredMotif brought = new StoredMotif(project, FileTitle.of(fileName), planes.keep(svg), clock.instant());
        motifs.save(brought);
        return new Named(brought.name(), brought.title(), motif.inks());
    }
}
