package stillpond.app.sheet;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.app.history.Steps;
import stillpond.app.palette.Palettes;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Places;
import stillpond.core.gap.DamChange;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/** Makes the changes that a desk asks for: fills, dams, and steps back and forth. */
@Service
@Transactional
public class SheetChanges {

    static final String ANALYSED_ANEW = "This sheet was analysed anew meanwhile; it is shown as it is now.";

    private final SheetRepository sheets;
    private final History history;
    private final Steps steps;
    private final Palettes palettes;
    private final UsualFills usual;
    private final LayerFills fills;
    private final LayerSwaps swaps;
    private final LayerDams layerDams;
    private final LayerGroups groups;
    private final LayerShadows shadows;

    SheetChanges(
            SheetRepository sheets,
            History history,
            Steps steps,
            Palettes palettes,
            UsualFills usual,
            LayerFills fills,
            LayerSwaps swaps,
            LayerDams layerDams,
            LayerGroups groups,
            LayerShadows shadows) {
        this.sheets = sheets;
        this.history = history;
        this.steps = steps;
        this.palettes = palettes;
        this.usual = usual;
        this.fills = fills;
        this.swaps = swaps;
        this.layerDams = layerDams;
        this.groups = groups;
        this.shadows = shadows;
    }

    /**
     * Makes one change, or tells why not. Asking again with the same id answers as the first time and changes nothing.
     *
     * @throws java.util.NoSuchElementException if there is no such sheet
     */
    public ChangeOutcome make(UUID sheetId, UUID author, ChangeRequest request) {
        return makeAll(sheetId, author, List.of(request)).get(0);
    }

    /**
     * Makes changes in their order. One that is refused does not hold up the others; but if any of them cannot be asked for, none is made.
     *
     * @throws UnfitChange for the first that cannot be asked for; it names the change
     * @throws java.util.NoSuchElementException if there is no such sheet
     */
    public List<ChangeOutcome> makeAll(UUID sheetId, UUID author, List<ChangeRequest> requests) {
        Set<UUID> concerned = requests.stream()
                .flatMap(request ->
                        request instanceof ChangeRequest.Step step ? Stream.of(step.concerns()) : Stream.empty())
                .collect(Collectors.toSet());
        if (!concerned.isEmpty()) {
            // Not the sheet itself is read here: what is read before the lock would be kept for what is there after it.
            steps.lockFor(sheets.findProject(sheetId).orElseThrow(), concerned, List.of(sheetId));
        }
        return requests.stream()
                .map(request -> makeOne(sheetId, author, request))
                .toList();
    }

    private ChangeOutcome makeOne(UUID sheetId, UUID author, ChangeRequest request) {
        if (request instanceof ChangeRequest.Lay lay) {
            Optional<UsualFills.Written> written = usual.lay(sheetId, lay);
            if (written.isPresent()) {
                return kept(sheetId, author, lay, written.get());
            }
        }
        // Looked up for each: what lays fills in bulk leaves nothing of the session behind.
        StoredSheet sheet = sheets.findAndLock(sheetId).orElseThrow();
        try {
            return makeOn(sheet, author, request);
        } catch (Refusal problem) {
            throw new UnfitChange(request.id(), problem.getMessage());
        }
    }

    private ChangeOutcome kept(UUID sheet, UUID author, ChangeRequest.Lay lay, UsualFills.Written written) {
        if (written.change().isEmpty()) {
            return new ChangeOutcome.Unneeded(lay.id());
        }
        Effect effect = new Effect.Filled(sheet, lay.layer(), written.change());
        return keep(sheet, written.project(), author, lay.id(), words(written.change()), effect);
    }

    private ChangeOutcome makeOn(StoredSheet sheet, UUID author, ChangeRequest request) {
        Optional<Made> earlier = history.find(request.id());
        if (earlier.isPresent()) {
            return answerAgain(earlier.get(), sheet, author);
        }
        Optional<String> done = LayerLocks.objectionTo(sheet);
        if (done.isPresent()) {
            return new ChangeOutcome.Refused(request.id(), done.get());
        }
        if (request instanceof ChangeRequest.Lay lay) {
            return lay(sheet, author, lay);
        }
        if (request instanceof ChangeRequest.Dam dam) {
            return dam(sheet, author, dam);
        }
        return step(sheet, author, (ChangeRequest.Step) request);
    }

    private static ChangeOutcome answerAgain(Made earlier, StoredSheet sheet, UUID author) {
        boolean same = earlier.project().equals(sheet.projectId())
                && earlier.author().equals(author)
                && (earlier.effects().isEmpty()
                        || earlier.effects().stream()
                                .anyMatch(effect -> effect.sheet()
                                        .filter(on -> !on.equals(sheet.id()))
                                        .isEmpty()));
        return same
                ? new ChangeOutcome.Made(MadeChange.of(earlier, sheet.id()), Optional.empty())
                : new ChangeOutcome.Refused(earlier.id(), "Another change has this number already.");
    }

    private ChangeOutcome lay(StoredSheet sheet, UUID author, ChangeRequest.Lay asked) {
        ChangeRequest.Lay lay = onPresentLayer(sheet, asked);
        Optional<String> objection = objectionTo(sheet, lay);
        if (objection.isPresent()) {
            return new ChangeOutcome.Refused(lay.id(), objection.get());
        }
        return laid(sheet, lay)
                .<ChangeOutcome>map(
                        effect -> keep(sheet.id(), sheet.projectId(), author, lay.id(), words(effect.change()), effect))
                .orElseGet(() -> new ChangeOutcome.Unneeded(lay.id()));
    }

    /**
     * Lays fills as a part of a change that the caller keeps; everything that the change is about is locked already.
     *
     * @return empty if there was nothing to change
     * @throws Refusal if the sheet does not take them
     */
    public Optional<Effect.Filled> lay(UUID sheetId, UUID layer, Map<Integer, Fill> fillByPlace) {
        StoredSheet sheet = sheets.findAndLock(sheetId).orElseThrow();
        ChangeRequest.Lay lay = new ChangeRequest.Lay(UUID.randomUUID(), layer, fillByPlace);
        objectionTo(sheet, lay).ifPresent(objection -> {
            throw new Refusal(sheet.title() + ": " + objection);
        });
        return laid(sheet, lay);
    }

    private Optional<Effect.Filled> laid(StoredSheet sheet, ChangeRequest.Lay lay) {
        Change change = fills.current(lay.layer(), lay.places()).laying(lay.fillByPlace());
        if (change.isEmpty()) {
            return Optional.empty();
        }
        sheet.nextRevision();
        fills.write(lay.layer(), change);
        return Optional.of(new Effect.Filled(sheet.id(), lay.layer(), change));
    }

    private static String words(Change change) {
        boolean isClearing =
                change.swaps().stream().allMatch(swap -> swap.after().equals(Fill.NONE));
        long strokes = change.swaps().stream()
                .filter(swap -> Places.isStroke(swap.place()))
                .count();
        long laidOnShadows = change.swaps().stream()
                .filter(swap -> Places.isShadow(swap.place()))
                .count();
        if (laidOnShadows == change.swaps().size()) {
            return "Coloured " + counted(laidOnShadows, "shadow");
        }
        long widths = change.swaps().stream()
                .filter(swap -> Places.isWidth(swap.place()))
                .count();
        if (widths == change.swaps().size()) {
            return "Changed the width of " + counted(widths, "stroke");
        }
        long cells = change.swaps().size() - strokes - laidOnShadows - widths;
        String regions = (isClearing ? "Cleared " : "Filled ") + counted(cells, "cell");
        String ink = (isClearing ? "Made black " : "Coloured ") + counted(strokes, "stroke");
        return strokes == 0 ? regions : cells == 0 ? ink : regions + ", and " + ink.toLowerCase(Locale.ROOT);
    }

    private static String counted(long count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    private ChangeOutcome keep(UUID sheet, UUID project, UUID author, UUID id, String words, Effect effect) {
        Made made = history.keep(id, project, author, words, "", List.of(effect));
        return new ChangeOutcome.Made(MadeChange.of(made, sheet), Optional.empty());
    }

    /** A fill that was on its way while the sheet was cut anew is laid in the same place. */
    private ChangeRequest.Lay onPresentLayer(StoredSheet sheet, ChangeRequest.Lay lay) {
        Optional<StoredLayer> then = sheet.find(lay.layer());
        boolean isKnown = then.isPresent() && then.get().asLayer().hasPlaces(lay.places());
        if (!isKnown || then.get().isCurrent()) {
            return lay;
        }
        StoredLayer now = sheet.inPlaceOf(then.get());
        if (!now.isCurrent()) {
            return lay;
        }
        Map<Integer, Fill> fillByPlace = new HashMap<>();
        lay.fillByPlace().entrySet().stream()
                .collect(Collectors.groupingBy(
                        Map.Entry::getValue, Collectors.mapping(Map.Entry::getKey, Collectors.toSet())))
                .forEach((fill, places) -> swaps.inTheSamePlace(then.get().asLayer(), places, now.asLayer())
                        .forEach(place -> fillByPlace.put(place, fill)));
        return new ChangeRequest.Lay(lay.id(), now.id(), fillByPlace);
    }

    private ChangeOutcome dam(StoredSheet sheet, UUID author, ChangeRequest.Dam dam) {
        Optional<StoredLayer> layer = sheet.currentLayers().stream()
                .filter(each -> each.id().equals(dam.layer()))
                .findFirst();
        if (layer.isEmpty()) {
            return new ChangeOutcome.Refused(dam.id(), ANALYSED_ANEW);
        }
        Optional<String> locked = LayerLocks.objectionTo(layer.get().standing().asStanding());
        if (locked.isPresent()) {
            return new ChangeOutcome.Refused(dam.id(), locked.get());
        }
        int openings = layerDams.openings(layer.get().asLayer()).openings().size();
        if (dam.states().keySet().stream().anyMatch(opening -> opening < 0 || opening >= openings)) {
            return new ChangeOutcome.Refused(dam.id(), "The line art has no such gap any more.");
        }
        DamChange change = layerDams.of(layer.get().asLayer()).giving(dam.states(), dam.reach());
        if (change.isEmpty()) {
            return new ChangeOutcome.Unneeded(dam.id());
        }
        sheet.nextRevision();
        layerDams.write(layer.get(), change);
        Effect effect = new Effect.Dammed(sheet.id(), dam.layer(), change);
        return keep(sheet.id(), sheet.projectId(), author, dam.id(), "Dammed or opened gaps", effect);
    }

    private Optional<String> objectionTo(StoredSheet sheet, ChangeRequest.Lay lay) {
        Optional<String> done = LayerLocks.objectionTo(sheet);
        if (done.isPresent()) {
            return done;
        }
        Optional<Layer> layer = sheet.asSheet().layers().stream()
                .filter(each -> each.id().equals(lay.layer()))
                .findFirst();
        if (layer.isEmpty()) {
            return Optional.of(ANALYSED_ANEW);
        }
        Optional<String> standing = LayerLocks.objectionTo(layer.get().standing());
        if (standing.isPresent()) {
            return standing;
        }
        List<Integer> places = lay.places();
        if (places.isEmpty()) {
            return Optional.of("No region and no stroke was named.");
        }
        if (!layer.get().hasPlaces(places)) {
            return Optional.of("The line art has no such region or stroke any more.");
        }
        List<Integer> shadowed =
                places.stream().filter(Places::isShadow).map(Places::shadow).toList();
        if (!shadows.has(lay.layer(), shadowed)) {
            return Optional.of("This shadow is not there any more.");
        }
        if (lay.fillByPlace().entrySet().stream()
                .anyMatch(each -> !each.getValue().fits(each.getKey()))) {
            return Optional.of("Ink and shadows wear one swatch, wholly: no gradient, no pattern, no opacity.");
        }
        Optional<String> locked = groups.locked(lay.layer()).objectionTo(places);
        if (locked.isPresent()) {
            return locked;
        }
        Palette palette = palettes.of(sheet.projectId());
        boolean isOnCards = new HashSet<>(lay.fillByPlace().values())
                .stream().allMatch(fill -> fill.swatches().stream().allMatch(palette::has));
        return isOnCards ? Optional.empty() : Optional.of("This swatch is on none of the project's cards any more.");
    }

    private ChangeOutcome step(StoredSheet sheet, UUID author, ChangeRequest.Step step) {
        Made.Kind kind = step instanceof ChangeRequest.Undo ? Made.Kind.UNDO : Made.Kind.REDO;
        Steps.Outcome outcome = steps.step(sheet.projectId(), author, step.id(), kind, step.concerns());
        if (outcome instanceof Steps.Stepped stepped) {
            return new ChangeOutcome.Made(MadeChange.of(stepped.made(), sheet.id()), stepped.leftAlone());
        }
        return new ChangeOutcome.Refused(step.id(), ((Steps.Refused) outcome).reason());
    }
}
