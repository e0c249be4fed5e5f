package stillpond.app.sheet;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.project.Title;
import stillpond.core.blockin.ShapeMap;
import stillpond.core.blockin.Shapes;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

/** Sheets without line art, and layers of shapes on sheets that have some. */
@Service
@Transactional
public class BlankSheets {

    private static final String NAME = "Shapes";

    private final SheetRepository sheets;
    private final Planes planes;
    private final Projects projects;
    private final History history;
    private final Clock clock;

    BlankSheets(SheetRepository sheets, Planes planes, Projects projects, History history, Clock clock) {
        this.sheets = sheets;
        this.planes = planes;
        this.projects = projects;
        this.history = history;
        this.clock = clock;
    }

    /** A new sheet behind the others of its scene, with one layer that shapes go on. */
    public Sheet make(UUID project, UUID scene, String title, BlankPage page) {
        Scene in = projects.scene(project, scene);
        StoredSheet sheet = new StoredSheet(
                project, in.id(), Title.of("sheet", title), sheets.countBySceneId(scene), clock.instant());
        String origin = planes.keep(page.file());
        sheet.addLayer(new StoredLayer(
                new StoredStanding(sheet.id(), Standing.of(UUID.randomUUID(), NAME), 0),
                blank(page.widthPx(), page.heightPx(), origin)));
        return sheets.save(sheet).asSheet();
    }

    private LayerPlanes blank(int widthPx, int heightPx, String origin) {
        return LineArt.ofShapes(new ShapeMap(widthPx, heightPx))
                .keepIn(planes, LayerShapes.text(Shapes.NONE), origin)
                .blockedIn();
    }

    /**
     * Adds a layer of shapes to a sheet, as one change.
     *
     * @param isUnder behind all other layers, else in front of them
     * @return the sheet with the new layer to work on
     */
    public Sheet add(Sheet sheet, UUID author, boolean isUnder) {
        StoredSheet stored = sheets.findAndLock(sheet.id()).orElseThrow();
        Stack before = stored.stack();
        Standing standing = Standing.of(UUID.randomUUID(), NAME);
        List<Standing> all = new ArrayList<>(before.layers());
        all.add(isUnder ? all.size() : 0, standing);
        Stack after = new Stack(all);
        Layer front = sheet.layers().get(0);
        stored.addLayer(new StoredLayer(
                new StoredStanding(sheet.id(), standing, 0), blank(front.widthPx(), front.heightPx(), front.origin())));
        stored.become(after);
        stored.nextRevision();
        history.keep(
                sheet.project(),
                author,
                "Added the layer '" + NAME + "'",
                List.of(new Effect.Stacked(sheet.id(), before, after)));
        return sheets.saveAndFlush(stored).asSheet().on(standing.layer());
    }
}
