package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellSplit;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Openings;
import stillpond.core.ledger.CellGroups;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.CellWindow;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.LaidShadow;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.Shadows;

/** The shadows and rims of each layer. */
@Component
@Transactional
public class LayerShadows implements EffectKind<Effect.Shaded> {

    private final ShadowRepository shadows;
    private final SheetRepository sheets;
    private final LayerFills fills;
    private final LayerGroups groups;
    private final LayerSwaps swaps;
    private final LayerDams dams;
    private final Planes planes;
    private final History history;

    LayerShadows(
            ShadowRepository shadows,
            SheetRepository sheets,
            LayerFills fills,
            LayerGroups groups,
            LayerSwaps swaps,
            LayerDams dams,
            Planes planes,
            History history) {
        this.shadows = shadows;
        this.sheets = sheets;
        this.fills = fills;
        this.groups = groups;
        this.swaps = swaps;
        this.dams = dams;
        this.planes = planes;
        this.history = history;
    }

    @Transactional(readOnly = true)
    public Shadows of(UUID layer) {
        return new Shadows(shadows.findByKeyLayerId(layer).stream()
                .map(StoredShadow::asShadow)
                .toList());
    }

    /** Whether a layer has all of some shadows. @param numbers of shadows */
    boolean has(UUID layer, Collection<Integer> numbers) {
        return numbers.isEmpty() || new HashSet<>(shadows.findNumbers(layer)).containsAll(numbers);
    }

    /**
     * Changes the shadows of a sheet's layer, as one change.
     *
     * @param words what is done, for the history
     * @param worn what shadows wear from now on, by their numbers; the others keep theirs
     */
    public Shadows change(
            Sheet sheet, UUID author, String words, UnaryOperator<Shadows> change, Map<Integer, Fill> worn) {
        return change(UUID.randomUUID(), sheet, author, words, change, worn);
    }

    /** As above. @param id of the change in the history */
    public Shadows change(
            UUID id, Sheet sheet, UUID author, String words, UnaryOperator<Shadows> change, Map<Integer, Fill> worn) {
        StoredSheet stored = sheets.findAndLock(sheet.id()).orElseThrow();
        UUID layer = sheet.layer().id();
        if (!stored.layer(layer).isCurrent()) {
            throw new Refusal(SheetChanges.ANALYSED_ANEW);
        }
        LayerLocks.requireUnlocked(stored, stored.layer(layer));
        Shadows before = of(layer);
        Shadows after = change.apply(before);
        List<Effect> effects = write(sheet, before, after, worn);
        if (!effects.isEmpty()) {
            history.keep(id, sheet.project(), author, words, "", effects);
        }
        return after;
    }

    private List<Effect> write(Sheet sheet, Shadows before, Shadows after, Map<Integer, Fill> worn) {
        Layer layer = sheet.layer();
        List<Shadows.Swap> changed = before.becoming(after);
        requireToShow(layer, changed);
        List<Effect> effects = new ArrayList<>();
        if (!changed.isEmpty()) {
            write(layer.id(), changed);
            effects.add(new Effect.Shaded(sheet.id(), layer.id(), changed));
        }
        Map<Integer, Fill> laid = new HashMap<>();
        worn.forEach((number, fill) -> laid.put(Places.ofShadow(number), fill));
        changed.stream()
                .filter(swap -> swap.after().isEmpty())
                .forEach(swap ->
                        laid.put(Places.ofShadow(swap.before().orElseThrow().number()), Fill.NONE));
        Change fill = fills.current(layer.id(), laid.keySet()).laying(laid);
        if (!fill.isEmpty()) {
            fills.write(layer.id(), fill);
            effects.add(new Effect.Filled(sheet.id(), layer.id(), fill));
        }
        return effects;
    }

    /** A shape that is drawn where nothing of it would be seen is a mistake. */
    private void requireToShow(Layer layer, List<Shadows.Swap> changed) {
        List<Shadow> drawn = changed.stream()
                .filter(swap -> swap.after().isPresent()
                        && !swap.before().map(Shadow::form).equals(swap.after().map(Shadow::form)))
                .map(swap -> swap.after().orElseThrow())
                .filter(each -> each.form() instanceof Form.Drawn)
                .toList();
        if (drawn.isEmpty()) {
            return;
        }
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        CellWindow window = CellWindow.of(map.plane());
        laid(layer, new Shadows(drawn), fills.worn(layer.id()), map.graph(), 1).stream()
                .filter(each -> !each.shows(window))
                .findFirst()
                .ifPresent(each -> {
                    throw new Refusal("'" + each.shadow().name()
                            + "' lies wholly outside of its base, so nothing of it would be seen. It stays as it was.");
                });
    }

    /**
     * Shadows of a layer over the cells of their bases, from back to front.
     *
     * @param graph the cells of the layer
     * @param scale of the picture that they are laid for
     */
    List<LaidShadow> laid(Layer layer, Shadows all, Fills worn, CellGraph graph, double scale) {
        double strokePx = strokePx(layer);
        CellGroups present = groups.of(layer.id());
        return all.all().stream()
                .map(each -> LaidShadow.of(each, each.base().cells(present, worn), graph, strokePx, scale))
                .toList();
    }

    /** The cells of the base of each, by the number of the shadow. */
    @Transactional(readOnly = true)
    public Map<Integer, Set<Integer>> bases(Layer layer, Shadows all, Fills worn) {
        CellGroups present = groups.of(layer.id());
        return all.all().stream()
                .collect(Collectors.toMap(Shadow::number, each -> each.base().cells(present, worn)));
    }

    /** What the bases of shadows of a layer follow from: another value if they may be others. */
    @Transactional(readOnly = true)
    String basesVersion(Layer layer, Fills worn) {
        return Integer.toHexString(
                Objects.hash(groups.of(layer.id()), worn.ofCells().filled()));
    }

    private double strokePx(Layer layer) {
        Openings openings = layer.openings() == null ? null : dams.openings(layer);
        return openings == null ? 1 : openings.strokePx();
    }

    @Override
    public Class<Effect.Shaded> effects() {
        return Effect.Shaded.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Shaded effect) {
        StoredSheet sheet = sheets.findById(effect.onSheet()).orElseThrow();
        StoredLayer then = sheet.layer(effect.layer());
        StoredLayer now = sheet.inPlaceOf(then);
        List<Shadows.Swap> wanted = effect.swaps().stream()
                .map(swap -> then == now ? swap : inTheSamePlace(swap, then.asLayer(), now.asLayer()))
                .toList();
        Shadows.TakenBack back = of(now.id())
                .takingBack(wanted.stream().map(Shadows.Swap::inverse).toList());
        if (back.swaps().isEmpty()) {
            return new Done(Optional.empty(), back.leftAlone());
        }
        write(now.id(), back.swaps());
        return new Done(Optional.of(new Effect.Shaded(sheet.id(), now.id(), back.swaps())), back.leftAlone());
    }

    private void write(UUID layer, List<Shadows.Swap> changed) {
        List<Integer> gone = changed.stream()
                .filter(swap -> swap.after().isEmpty())
                .map(swap -> swap.before().orElseThrow().number())
                .toList();
        if (!gone.isEmpty()) {
            shadows.remove(layer, gone);
        }
        shadows.saveAllAndFlush(changed.stream()
                .flatMap(swap -> swap.after().stream())
                .map(each -> new StoredShadow(layer, each))
                .toList());
    }

    /** Brings the shadows of a layer over to the one that takes its place. */
    void carry(Layer old, Layer fresh) {
        become(fresh.id(), inTheSamePlace(of(old.id()), old, fresh));
    }

    /** Brings the shadows over to a layer that takes its place again, unless they are still those that it had. */
    void carryBack(Layer present, Layer former) {
        Shadows then = of(former.id());
        Shadows now = of(present.id());
        if (!inTheSamePlace(then, former, present).equals(now)) {
            become(former.id(), inTheSamePlace(now, present, former));
        }
    }

    /** The same cells, some of them split in parts. */
    void carrySplit(UUID old, UUID fresh, List<CellSplit.Parts> split) {
        become(fresh, of(old).inCells(cells -> {
            Set<Integer> all = new HashSet<>(cells);
            split.stream().filter(parts -> all.contains(parts.cell())).forEach(parts -> all.addAll(parts.parts()));
            return all;
        }));
    }

    /**
     * Moves shadows over to a layer that was split off, those whose base mostly went there.
     *
     * @param old both were one in, {@code stays} what is left of it, {@code gone} what was split off
     * @param going cells of the old one
     * @return what became of those of the layer that stays
     */
    List<Shadows.Swap> splitOff(Layer old, Layer stays, Layer gone, Set<Integer> going, Fills worn) {
        Shadows all = of(old.id());
        Map<Integer, Set<Integer>> bases = bases(old, all, worn);
        List<Shadow> moving = all.all().stream()
                .filter(each -> isMostlyIn(bases.get(each.number()), going))
                .toList();
        become(gone.id(), inTheSamePlace(new Shadows(moving), old, gone));
        Set<Integer> numbers = moving.stream().map(Shadow::number).collect(Collectors.toSet());
        Shadows carried = of(stays.id());
        Shadows left = new Shadows(carried.all().stream()
                .filter(each -> !numbers.contains(each.number()))
                .toList());
        List<Shadows.Swap> swaps = carried.becoming(left);
        write(stays.id(), swaps);
        return swaps;
    }

    private static boolean isMostlyIn(Set<Integer> base, Set<Integer> cells) {
        long inside = base.stream().filter(cells::contains).count();
        return inside > 0 && 2 * inside >= base.size();
    }

    void copy(UUID from, UUID to) {
        become(to, of(from));
    }

    private void become(UUID layer, Shadows wanted) {
        write(layer, of(layer).becoming(wanted));
    }

    private Shadows inTheSamePlace(Shadows all, Layer old, Layer fresh) {
        if (all.all().isEmpty()) {
            return all;
        }
        Form.Placed placed = Form.Placed.seenFrom(swaps.placing(fresh, old));
        return new Shadows(all.all().stream().map(each -> each.placed(placed)).toList())
                .inCells(cells -> swaps.inTheSamePlace(old, new HashSet<>(cells), fresh));
    }

    private Shadows.Swap inTheSamePlace(Shadows.Swap swap, Layer old, Layer fresh) {
        return new Shadows.Swap(
                swap.before()
                        .map(each -> inTheSamePlace(new Shadows(List.of(each)), old, fresh)
                                .all()
                                .get(0)),
                swap.after()
                        .map(each -> inTheSamePlace(new Shadows(List.of(each)), old, fresh)
                                .all()
                                .get(0)));
    }
}
