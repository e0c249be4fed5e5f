package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.reading.PictureFiles;
import stillpond.core.Refusal;
import stillpond.core.format.MotifReader;
import stillpond.core.format.OwnMotifs;
import stillpond.core.render.Motif;
import stillpond.core.render.Motifs;

/** The motifs of patterns that a project can use: ours, and those that somebody brought. */
@Service
@Transactional
public class ProjectMotifs {

    private static final int MOST = 200;
    private static final int MOST_READ = 1000;

    private final JdbcClient jdbc;
    private final Planes planes;
    private final Clock clock;
    private final OwnMotifs own = new OwnMotifs();
    private final PictureFiles pictureFiles;

    /** By their content, which never changes under one name. */
    private final Cache<String, Motif> read =
            Caffeine.newBuilder().maximumSize(MOST_READ).build();

    ProjectMotifs(JdbcClient jdbc, Planes planes, PictureFiles pictureFiles, Clock clock) {
        this.jdbc = jdbc;
        this.planes = planes;
        this.pictureFiles = pictureFiles;
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
        jdbc.sql("select id, title from motif where project_id = ? order by made_at, id")
                .param(project)
                .query((row, number) -> named(row.getString("id"), row.getString("title"), brought))
                .list()
                .forEach(all::add);
        return all;
    }

    private static Named named(String name, String title, Motifs motifs) {
        return new Named(name, title, motifs.find(name).orElseThrow().inks());
    }

    @Transactional(readOnly = true)
    public Motifs of(UUID project) {
        return name -> own.find(name).or(() -> brought(project, name));
    }

    private Optional<Motif> brought(UUID project, String name) {
        return jdbc.sql("select content from motif where project_id = ? and cast(id as text) = ?")
                .params(project, name)
                .query(String.class)
                .optional()
                .map(content -> read.get(content, any -> read(planes.content(content))));
    }

    private Motif read(byte[] svg) {
        return pictureFiles.with(svg, MotifReader.limits(), read -> MotifReader.of(read.picture()));
    }

    /** @throws stillpond.core.format.UnreadableFile with a message for the user; nothing is kept then */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Named bring(UUID project, String fileName, byte[] svg) {
        Motif motif = read(svg);
        int present = jdbc.sql("select count(*) from motif where project_id = ?")
                .param(project)
                .query(Integer.class)
                .single();
        if (present >= MOST) {
            throw new Refusal("A project keeps up to " + MOST + " patterns of its own.");
        }
        UUID id = UUID.randomUUID();
        String title = FileTitle.of(fileName);
        jdbc.sql("insert into motif values (?, ?, ?, ?, ?)")
                .params(id, project, title, planes.keep(svg), Timestamp.from(clock.instant()))
                .update();
        return new Named(id.toString(), title, motif.inks());
    }
}
