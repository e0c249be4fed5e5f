package stillpond.app.sheet;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Swap;
import stillpond.core.shadow.Shadows;

/** What a sheet wore at earlier moments, told from the log. */
@Service
@Transactional(readOnly = true)
public class Moments {

    private final SheetRepository sheets;
    private final History history;
    private final LayerFills fills;
    private final LayerShadows layerShadows;

    Moments(SheetRepository sheets, History history, LayerFills fills, LayerShadows layerShadows) {
        this.sheets = sheets;
        this.history = history;
        this.fills = fills;
        this.layerShadows = layerShadows;
    }

    /** A layer with what it wore, and what lay on it. */
    public record Worn(Layer layer, Fills fills, Shadows shadows) {}

    /** What the sheet wore at a moment, on the cells that it had then. */
    public Worn at(Sheet sheet, Instant moment) {
        List<History.At> log = history.ofSheet(sheet.id());
        UUID layer = layerAt(sheet, log, moment);
        Fills present = fills.worn(layer);
        Map<Integer, Fill> worn = new HashMap<>();
        present.filled().forEach(cell -> worn.put(cell, present.of(cell)));
        Shadows shadows = layerShadows.of(layer);
        List<History.At> backwards = new ArrayList<>(log);
        Collections.reverse(backwards);
        for (History.At each : backwards) {
            boolean isSince = each.at().isAfter(moment);
            if (isSince
                    && each.effect() instanceof Effect.Shaded shaded
                    && shaded.layer().equals(layer)) {
                shadows = shadows.takingBack(shaded.swaps()).shadows();
            }
            if (isSince
                    && each.effect() instanceof Effect.Filled filled
                    && filled.layer().equals(layer)) {
                for (Swap swap : filled.change().swaps()) {
                    worn.put(swap.place(), swap.before());
                }
            }
        }
        return new Worn(sheets.findById(sheet.id()).orElseThrow().layer(layer).asLayer(), Fills.of(worn), shadows);
    }

    /** Every effect on cells names the layer that stood after it, and a new cutting also the one whose place it took. */
    private static UUID layerAt(Sheet sheet, List<History.At> log, Instant moment) {
        UUID layer = null;
        for (History.At each : log) {
            boolean isSince = each.at().isAfter(moment);
            if (each.effect() instanceof Effect.Recut recut && (!isSince || layer == null)) {
                layer = isSince ? recut.before() : recut.after();
            } else if (each.effect() instanceof Effect.Filled filled && (!isSince || layer == null)) {
                layer = filled.layer();
            } else if (each.effect() instanceof Effect.Shaded shaded && (!isSince || layer == null)) {
                layer = shaded.layer();
            } else if (each.effect() instanceof Effect.Dammed dammed && (!isSince || layer == null)) {
                layer = dammed.layer();
            }
        }
        return layer == null ? sheet.frontLayer().id() : layer;
    }
}
