package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.reading.PictureFiles;
import stillpond.core.format.MotifReader;
import stillpond.core.format.OwnMotifs;
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

    /** By their content, which never changes under one name. */
    private final Cache<String, Motif> read =
            Caffeine.newBuilder().maximumSize(MOST_READ).build();

    ProjectMotifs(MotifRepository motifs, Planes planes, PictureFiles pictureFiles, Clock clock) {
        this.motifs = motifs;
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
