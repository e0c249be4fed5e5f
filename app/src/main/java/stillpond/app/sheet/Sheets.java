package stillpond.app.sheet;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.core.check.Finding;
import stillpond.core.check.SheetCheck;
import stillpond.core.fill.Fills;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Palette;
import stillpond.core.stack.Standing;
import stillpond.core.stroke.Stroke;

/** The sheets of projects and what they wear now. */
@Service
public class Sheets {

    /** How long the longer side of a sheet's small picture is at the most. */
    public static final int SMALL_LONG_SIDE_PX = LineArt.SMALL_LONG_SIDE_PX;

    private final SheetRepository sheets;
    private final JdbcClient database;
    private final LayerFills fills;
    private final LayerDams layerDams;
    private final LayerStrokes layerStrokes;
    private final KeptCounts counts;
    private final Planes planes;
    private final Projects projects;
    private final TransactionTemplate transaction;
    private final Analyses analyses;
    private final ImageLimits limits;
    private final Clock clock;

    Sheets(
            SheetRepository sheets,
            JdbcClient database,
            LayerFills fills,
            LayerDams layerDams,
            LayerStrokes layerStrokes,
            KeptCounts counts,
            Planes planes,
            Projects projects,
            TransactionTemplate transaction,
            Analyses analyses,
            ImageLimits limits,
            Clock clock) {
        this.sheets = sheets;
        this.database = database;
        this.fills = fills;
        this.layerDams = layerDams;
        this.layerStrokes = layerStrokes;
        this.counts = counts;
        this.planes = planes;
        this.projects = projects;
        this.transaction = transaction;
        this.analyses = analyses;
        this.limits = limits;
        this.clock = clock;
    }

    /**
     * Brings line art in as a new sheet behind the others of its scene; its gaps are still to be found, see {@link Sharpening}. All or nothing: a file that cannot be taken leaves no trace.
     *
     * @throws UnreadableFile with a message for the user, also if the project has this very file already
     */
    public Brought bring(UUID project, UUID scene, LineArtFile file) {
        requireNew(project, file.content());
        Analyses.Done done = analyses.glance(file.content(), limitsFor(file));
        Sheet sheet = store(
                projects.scene(project, scene),
                FileTitle.of(file.name()),
                List.of(new NewLayer("Line art", done.lineArt(), file.content())));
        return new Brought(sheet, done.leftOut());
    }

    /** A new sheet, and what of its file is not on it, for the user to read, each to follow "without". */
    public record Brought(Sheet sheet, List<String> leftOut) {}

    ImageLimits limitsFor(LineArtFile file) {
        return file.vectorLongSidePx().isPresent()
                ? limits.withVectorLongSide(file.vectorLongSidePx().getAsInt())
                : limits;
    }

    void requireNew(UUID project, byte[] file) {
        sheets.findMadeFrom(project, Planes.nameOf(file)).stream().findFirst().ifPresent(same -> {
            throw new UnreadableFile("This very file is here already, as '" + same.title()
                    + "'. To have it twice, copy that sheet on the project page.");
        });
    }

    /** A layer that is to be. @param file that it is to be made from again */
    record NewLayer(Standing standing, LineArt lineArt, byte[] file) {
        NewLayer(String name, LineArt lineArt, byte[] file) {
            this(Standing.of(UUID.randomUUID(), name), lineArt, file);
        }
    }

    /** @param layers from front to back */
    Sheet store(Scene scene, String title, List<NewLayer> layers) {
        return transaction.execute(status -> {
            StoredSheet sheet = new StoredSheet(
                    scene.project(), scene.id(), title, sheets.countBySceneId(scene.id()), clock.instant());
            for (int i = 0; i < layers.size(); i++) {
                NewLayer layer = layers.get(i);
                sheet.addLayer(new StoredLayer(
                        new StoredStanding(sheet.id(), layer.standing(), i),
                        layer.lineArt().keepIn(planes, layer.file())));
            }
            return sheets.save(sheet).asSheet();
        });
    }

    /** In their order within each scene, without those removed. */
    @Transactional(readOnly = true)
    public List<Sheet> inProject(UUID project) {
        return sheets.findByProjectIdOrderByPositionAscMadeAtAsc(project).stream()
                .filter(sheet -> !sheet.isRemoved())
                .map(StoredSheet::asSheet)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Sheet> removed(UUID project) {
        return sheets.findByProjectIdOrderByPositionAscMadeAtAsc(project).stream()
                .filter(StoredSheet::isRemoved)
                .map(StoredSheet::asSheet)
                .toList();
    }

    /** In reading order, scene by scene, without those removed. */
    @Transactional(readOnly = true)
    public List<Sheet> inReadingOrder(UUID project) {
        List<Sheet> all = inProject(project);
        return projects.scenes(project).stream()
                .flatMap(scene -> all.stream().filter(sheet -> sheet.scene().equals(scene.id())))
                .toList();
    }

    /** For work that nobody has asked for, which knows no project. @throws java.util.NoSuchElementException if there is no such sheet */
    @Transactional(readOnly = true)
    public Sheet wherever(UUID sheet) {
        return get(sheets.findProject(sheet).orElseThrow(), sheet);
    }

    /** @throws java.util.NoSuchElementException if the project has no such sheet, or it was removed */
    @Transactional(readOnly = true)
    public Sheet present(UUID project, UUID sheet) {
        return sheets.findByIdAndProjectId(sheet, project)
                .filter(found -> !found.isRemoved())
                .orElseThrow()
                .asSheet();
    }

    /** @throws java.util.NoSuchElementException if the project has no such sheet */
    @Transactional(readOnly = true)
    public Sheet get(UUID project, UUID sheet) {
        return sheets.findByIdAndProjectId(sheet, project).orElseThrow().asSheet();
    }

    /**
     * With the layer that is to be worked on.
     *
     * @param standing of the layer; empty: the front one
     * @throws java.util.NoSuchElementException if the project has no such sheet, or the sheet no such layer
     */
    @Transactional(readOnly = true)
    public Sheet get(UUID project, UUID sheet, Optional<UUID> standing) {
        Sheet present = get(project, sheet);
        return standing.map(present::on).orElse(present);
    }

    /**
     * One plain statement: every fill asks this.
     *
     * @throws java.util.NoSuchElementException if the project has no such sheet
     */
    public void require(UUID project, UUID sheet) {
        boolean isThere = database.sql("select exists (select from sheet where id = ? and project_id = ?)")
                .params(sheet, project)
                .query(Boolean.class)
                .single();
        if (!isThere) {
            throw new NoSuchElementException("The project has no sheet " + sheet);
        }
    }

    /**
     * Whether a plane is of this sheet. That of a layer that was replaced is: a desk may have been opened just before, and planes never change.
     *
     * @throws java.util.NoSuchElementException if the project has no such sheet
     */
    @Transactional(readOnly = true)
    public boolean hasPlane(UUID project, UUID sheet, String name) {
        return sheets.findByIdAndProjectId(sheet, project).orElseThrow().everyLayer().stream()
                .anyMatch(layer -> layer.planes().contains(name));
    }

    @Transactional(readOnly = true)
    public Fills fills(Layer layer) {
        return fills.worn(layer.id());
    }

    /** The gaps of a layer, dammed or not. */
    @Transactional(readOnly = true)
    public Openings openings(Layer layer) {
        return layerDams.openings(layer);
    }

    @Transactional(readOnly = true)
    public Dams dams(Layer layer) {
        return layerDams.of(layer);
    }

    /** The regions of a layer under its present dams. */
    @Transactional(readOnly = true)
    public Regions regions(Layer layer) {
        return Regions.of(layerDams.openings(layer), layerDams.of(layer));
    }

    /** The strokes of a layer's ink by their numbers; none while it is not cut. */
    public List<Stroke> strokes(Layer layer) {
        return layerStrokes.of(layer);
    }

    /** What is wrong or suspicious on a layer. */
    @Transactional(readOnly = true)
    public List<Finding> check(Layer layer, Palette palette) {
        Openings openings = layerDams.openings(layer);
        Fills worn = fills(layer);
        List<Stroke> strokes = worn.ofStrokes().filled().isEmpty() ? List.of() : strokes(layer);
        return SheetCheck.of(openings, Regions.of(openings, layerDams.of(layer)), worn, palette, strokes);
    }

    /** How far each sheet of a project is, by sheet. */
    public Map<UUID, Progress> progress(UUID project) {
        return counts.progress(project).stream().collect(Collectors.toMap(Progress::sheet, Function.identity()));
    }
}
