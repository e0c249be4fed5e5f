package stillpond.app.sheet;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.project.Projects;
import stillpond.app.project.Title;

/** Names, places, copies and removes whole sheets. */
@Service
@Transactional
public class SheetOrder {

    private final SheetRepository sheets;
    private final CellFillRepository fills;
    private final DamRepository dams;
    private final LayerGroups groups;
    private final LayerShadows shadows;
    private final Projects projects;
    private final Clock clock;

    SheetOrder(
            SheetRepository sheets,
            CellFillRepository fills,
            DamRepository dams,
            LayerGroups groups,
            LayerShadows shadows,
            Projects projects,
            Clock clock) {
        this.sheets = sheets;
        this.fills = fills;
        this.dams = dams;
        this.groups = groups;
        this.shadows = shadows;
        this.projects = projects;
        this.clock = clock;
    }

    public void rename(UUID project, UUID sheet, String title) {
        stored(project, sheet).rename(Title.of("sheet", title));
    }

    /** Swaps a sheet with the one before it ({@code by} -1) or behind it (1) in its scene; at the end nothing happens. */
    public void move(UUID project, UUID sheet, int by) {
        StoredSheet moved = stored(project, sheet);
        List<StoredSheet> order = inScene(moved.sceneId());
        int from = order.indexOf(moved);
        int to = from + by;
        if (from >= 0 && to >= 0 && to < order.size()) {
            Collections.swap(order, from, to);
        }
        number(order);
    }

    /** Puts a sheet behind the others of another scene. */
    public void moveTo(UUID project, UUID sheet, UUID scene) {
        StoredSheet moved = stored(project, sheet);
        List<StoredSheet> order = inScene(projects.scene(project, scene).id());
        order.remove(moved);
        moved.place(scene, order.size());
        order.add(moved);
        number(order);
    }

    /** Makes a second sheet that wears the same, right behind the first. Its log begins anew. */
    public UUID copy(UUID project, UUID sheet) {
        StoredSheet original = stored(project, sheet);
        String title = original.title() + ", copy";
        StoredSheet copy =
                original.copy(title.substring(0, Math.min(title.length(), Title.MAX_LENGTH)), 0, clock.instant());
        List<StoredSheet> order = inScene(original.sceneId());
        order.add(order.indexOf(original) + 1, sheets.save(copy));
        number(order);
        sheets.flush();
        for (int i = 0; i < original.currentLayers().size(); i++) {
            UUID from = original.currentLayers().get(i).id();
            UUID to = copy.currentLayers().get(i).id();
            fills.copy(from, to);
            dams.copy(from, to);
            groups.copy(from, to);
            shadows.copy(from, to);
        }
        return copy.id();
    }

    /** Puts a sheet aside; {@link #bringBack} undoes it, and nothing of it is lost. */
    public void remove(UUID project, UUID sheet) {
        stored(project, sheet).remove(clock.instant());
    }

    public void bringBack(UUID project, UUID sheet) {
        stored(project, sheet).remove(null);
    }

    private StoredSheet stored(UUID project, UUID sheet) {
        return sheets.findByIdAndProjectId(sheet, project).orElseThrow();
    }

    private List<StoredSheet> inScene(UUID scene) {
        return new ArrayList<>(sheets.findBySceneIdOrderByPositionAscMadeAtAsc(scene).stream()
                .filter(sheet -> !sheet.isRemoved())
                .toList());
    }

    private static void number(List<StoredSheet> order) {
        for (int i = 0; i < order.size(); i++) {
            order.get(i).place(order.get(i).sceneId(), i);
        }
    }
}
