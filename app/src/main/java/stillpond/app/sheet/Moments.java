package stillpond.app.sheet;

import java.time.Instant;
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
        List<Effect> since = history.ofSheetSince(sheet.id(), moment);
        StoredSheet stored = sheets.findById(sheet.id()).orElseThrow();
        return stackAt(sheet, since).layers().stream()
                .map(standing -> at(stored, standing, since, moment))
                .toList();
    }

    private static Stack stackAt(Sheet sheet, List<Effect> since) {
        return since.stream()
                .filter(Effect.Stacked.class::isInstance)
                .map(effect -> ((Effect.Stacked) effect).before())
                .reduce((later, earlier) -> earlier)
                .orElse(sheet.stack());
    }

    private Worn at(StoredSheet sheet, Standing standing, List<Effect> since, Instant moment) {
        Set<UUID> cuttings = sheet.cuttingsOf(standing.layer());
        UUID layer = history.standing(cuttings, moment)
                .or(() -> firstNamed(cuttings, since))
                .orElseGet(() -> sheet.presentOf(standing.layer()).id());
        Fills present = fills.worn(layer);
        Map<Integer, Fill> worn = new HashMap<>();
        present.filled().forEach(cell -> worn.put(cell, present.of(cell)));
        Shadows shadows = layerShadows.of(layer);
        for (Effect each : since) {
            if (each instanceof Effect.Shaded shaded && shaded.layer().equals(layer)) {
                shadows = shadows.takingBack(shaded.swaps()).shadows();
            }
            if (each instanceof Effect.Filled filled && filled.layer().equals(layer)) {
                for (Swap swap : filled.change().swaps()) {
                    worn.put(swap.place(), swap.before());
                }
            }
        }
        return new Worn(sheet.layer(layer).asLayer(standing), Fills.of(worn), shadows);
    }

    /** Every effect on cells names the cutting that stood after it, and a new one also that whose place it took. */
    private static Optional<UUID> firstNamed(Set<UUID> cuttings, List<Effect> since) {
        return since.stream()
                .flatMap(effect -> named(effect).stream())
                .filter(cuttings::contains)
                .reduce((later, earlier) -> earlier);
    }

    private static Optional<UUID> named(Effect effect) {
        if (effect instanceof Effect.Recut recut) {
            return Optional.of(recut.before());
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
