package stillpond.app.sheet;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Swap;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

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

    /** What the layers of a sheet wore at a moment, front to back, each on the cells that it had then. */
    public List<Worn> at(Sheet sheet, Instant moment) {
        List<History.At> log = history.ofSheet(sheet.id());
        StoredSheet stored = sheets.findById(sheet.id()).orElseThrow();
        return stackAt(sheet, log, moment).layers().stream()
                .map(standing -> at(stored, standing, log, moment))
                .toList();
    }

    private static Stack stackAt(Sheet sheet, List<History.At> log, Instant moment) {
        return log.stream()
                .filter(each -> each.at().isAfter(moment))
                .map(History.At::effect)
                .filter(Effect.Stacked.class::isInstance)
                .map(effect -> ((Effect.Stacked) effect).before())
                .findFirst()
                .orElse(sheet.stack());
    }

    private Worn at(StoredSheet sheet, Standing standing, List<History.At> log, Instant moment) {
        Set<UUID> cuttings = sheet.cuttingsOf(standing.layer());
        UUID layer = layerAt(cuttings, log, moment)
                .orElseGet(() -> sheet.presentOf(standing.layer()).id());
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
        return new Worn(sheet.layer(layer).asLayer(standing), Fills.of(worn), shadows);
    }

    /** Every effect on cells names the cutting that stood after it, and a new one also that whose place it took. */
    private static Optional<UUID> layerAt(Set<UUID> cuttings, List<History.At> log, Instant moment) {
        UUID layer = null;
        for (History.At each : log) {
            boolean isSince = each.at().isAfter(moment);
            Optional<UUID> named = named(each.effect(), isSince).filter(cuttings::contains);
            layer = named.isPresent() && (!isSince || layer == null) ? named.get() : layer;
        }
        return Optional.ofNullable(layer);
    }

    private static Optional<UUID> named(Effect effect, boolean isSince) {
        if (effect instanceof Effect.Recut recut) {
            return Optional.of(isSince ? recut.before() : recut.after());
        }
        if (effect instanceof Effect.Filled filled) {
            return Optional.of(filled.layer());
        }
        if (effect instanceof Effect.Shaded shaded) {
            return Optional.of(shaded.layer());
        }
        return effect instanceof Effect.Dammed dammed ? Optional.of(dammed.layer()) : Optional.empty();
    }
}
