package stillpond.app.carry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import stillpond.app.history.History;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.core.carry.Carry;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.ledger.CellGroup;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Shadow;

/** Lays what is sure on a sheet, with what comes along: closures, line colours, shadows and groups. */
@Service
class SureLaying {

    private final SheetCarrying carrying;
    private final CarryPages drawings;
    private final Sheets sheets;
    private final SheetChanges changes;
    private final LayerShadows shadows;
    private final LayerGroups groups;
    private final ComingAlong along;
    private final History history;

    SureLaying(
            SheetCarrying carrying,
            CarryPages drawings,
            Sheets sheets,
            SheetChanges changes,
            LayerShadows shadows,
            LayerGroups groups,
            ComingAlong along,
            History history) {
        this.carrying = carrying;
        this.drawings = drawings;
        this.sheets = sheets;
        this.changes = changes;
        this.shadows = shadows;
        this.groups = groups;
        this.along = along;
        this.history = history;
    }

    /** How much was laid: regions that are sure, strokes of ink, and shadows; and how many regions are in doubt. */
    record Laid(int sure, int doubtful, int strokes, int shadows) {
        Laid and(Laid other) {
            return new Laid(
                    sure + other.sure, doubtful + other.doubtful, strokes + other.strokes, shadows + other.shadows);
        }
    }

    /**
     * A region in doubt.
     *
     * @param layer whose cells are named
     * @param area of it, as a share of the page
     */
    record Doubt(UUID layer, SheetCarrying.Proposal proposal, Seen seen, double area) {}

    /** What came of carrying onto a sheet. @param changes as which it was laid, in their order */
    record Carried(Laid laid, List<UUID> changes, List<Doubt> doubts) {
        static final Carried NOTHING = new Carried(new Laid(0, 0, 0, 0), List.of(), List.of());

        private Carried and(Carried other) {
            return new Carried(
                    laid.and(other.laid),
                    Stream.concat(changes.stream(), other.changes.stream()).toList(),
                    Stream.concat(doubts.stream(), other.doubts.stream()).toList());
        }
    }

    /**
     * Lays what is sure on regions of a sheet that wear nothing, layer by layer, and says what is in doubt.
     *
     * @param changeFor the id of the change of a layer's fills, by that of its standing: if it was made before, it is not made again
     */
    Carried carry(Sheet sheet, UUID author, List<UUID> sources, UnaryOperator<UUID> changeFor) {
        List<CarryPage> pages = carrying.pages(sheet.project(), sources);
        return sheet.layers().stream()
                .filter(layer -> !layer.standing().isLocked())
                .map(layer -> carry(
                        drawings.of(sheet.on(layer.standing().layer())),
                        author,
                        pages,
                        changeFor.apply(layer.standing().layer())))
                .reduce(Carried.NOTHING, Carried::and);
    }

    private Carried carry(CarryPage before, UUID author, List<CarryPage> pages, UUID change) {
        SheetCarrying.Matched seen = carrying.match(before, pages, false, false);
        List<UUID> dammed = along.layClosures(before, author, pages, seen.likes());
        // Dams make other regions, which are looked at anew.
        CarryPage there = dammed.isEmpty() ? before : drawings.of(present(before.sheet()));
        SheetCarrying.Matched matched = dammed.isEmpty() ? seen : carrying.match(there, pages, false, false);
        SheetCarrying.Proposals proposals = matched.proposals();
        Map<Integer, Fill> laid = proposals.sure();
        // Somebody may have filled something while it was looked at: that stands, and so does what is locked.
        Fills present = sheets.fills(there.layer());
        laid.keySet().removeIf(place -> !present.of(place).equals(Fill.NONE));
        groups.of(there.layer().id()).groups().stream()
                .filter(CellGroup::isLocked)
                .forEach(group -> laid.keySet().removeAll(group.cells()));
        List<UUID> made = new ArrayList<>(dammed);
        if (lays(there.sheet(), author, new ChangeRequest.Lay(change, proposals.layer(), laid))) {
            made.add(change);
        }
        if (!proposals.shadows().isEmpty()) {
            made.add(layShadows(there.sheet(), author, proposals.shadows()));
        }
        along.layGroups(there, author, pages, matched.likes()).ifPresent(made::add);
        List<Doubt> doubts = proposals.proposals().stream()
                .filter(proposal -> !proposal.isSure())
                .map(proposal -> new Doubt(
                        proposals.layer(), proposal, there.seen(proposal.cells()), there.share(proposal.cells())))
                .toList();
        Laid counted = new Laid(
                proposals.proposals().size() - doubts.size(),
                doubts.size(),
                (int) laid.keySet().stream().filter(Places::isStroke).count(),
                proposals.shadows().size());
        return new Carried(counted, made, doubts);
    }

    private Sheet present(Sheet before) {
        return sheets.get(
                before.project(),
                before.id(),
                Optional.of(before.layer().standing().layer()));
    }

    /** Lays on a sheet, from its desk, what comes along with the fills that the desk has laid itself. @param sheet with the layer that is worked on */
    void layAlong(Sheet sheet, UUID author, List<UUID> sources) {
        List<CarryPage> pages = carrying.pages(sheet.project(), sources);
        CarryPage there = drawings.of(sheet);
        List<Carry.Proposal> likes = carrying.likes(there, pages);
        // First, for dams make other cells.
        along.layGroups(there, author, pages, likes);
        along.layClosures(there, author, pages, likes);
    }

    /** Returns whether there was anything to lay. */
    private boolean lays(Sheet sheet, UUID author, ChangeRequest.Lay lay) {
        if (lay.fillByPlace().isEmpty()) {
            return history.find(lay.id()).isPresent();
        }
        ChangeOutcome outcome = changes.make(sheet.id(), author, lay);
        if (outcome instanceof ChangeOutcome.Refused refused) {
            throw new Refusal(refused.reason());
        }
        return outcome instanceof ChangeOutcome.Made;
    }

    /** Returns the change. */
    private UUID layShadows(Sheet sheet, UUID author, List<SheetCarrying.CarriedShadow> carried) {
        Map<Integer, Fill> worn = new HashMap<>();
        carried.forEach(each -> worn.put(each.shadow().number(), Fill.ofText(each.fill())));
        List<Shadow> added =
                carried.stream().map(each -> each.shadow().asShadow()).toList();
        String words = "Carried " + added.size() + (added.size() == 1 ? " shadow" : " shadows");
        UUID change = UUID.randomUUID();
        shadows.change(change, sheet, author, words, all -> all.addingAll(added), worn);
        return change;
    }
}
