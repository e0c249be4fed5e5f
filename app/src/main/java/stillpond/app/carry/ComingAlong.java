package stillpond.app.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.HandDams;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.core.carry.CarriedClosures;
import stillpond.core.carry.CarriedClosures.Closures;
import stillpond.core.carry.CarriedGroups;
import stillpond.core.carry.Carry;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.ledger.CellGroups;

/** What comes along with fills that are carried: what was decided about gaps, dams drawn by hand, and groups. */
@Service
class ComingAlong {

    private final Sheets sheets;
    private final SheetChanges changes;
    private final HandDams handDams;
    private final LayerGroups groups;

    ComingAlong(Sheets sheets, SheetChanges changes, HandDams handDams, LayerGroups groups) {
        this.sheets = sheets;
        this.changes = changes;
        this.handDams = handDams;
        this.groups = groups;
    }

    /** How many gaps are decided, dams by hand among them, and how many groups get regions. */
    record Along(int gaps, int groups) {}

    Along on(CarryPage there, List<CarryPage> pages, List<Carry.Proposal> likes) {
        Closures closures = closures(there, pages, likes);
        CellGroups present = groups.of(there.layer().id());
        long changed = grouped(there, pages, likes, present).groups().stream()
                .filter(group -> !present.groups().contains(group))
                .count();
        return new Along(closures.states().size() + closures.lines().size(), (int) changed);
    }

    private Closures closures(CarryPage there, List<CarryPage> pages, List<Carry.Proposal> likes) {
        if (there.layer().isBlockedIn()) {
            // Shapes have neither gaps nor ink for a dam to end at.
            return Closures.NONE;
        }
        Openings openings = sheets.openings(there.layer());
        Dams said = sheets.dams(there.layer());
        Closures all = Closures.NONE;
        for (int source = 0; source < pages.size(); source++) {
            CarryPage page = pages.get(source);
            Closures its = CarriedClosures.of(
                            sheets.openings(page.layer()), sheets.dams(page.layer()), page.regions(), source)
                    .map(closures -> closures.onto(likes, openings, said))
                    .orElse(Closures.NONE);
            all = all.and(its);
        }
        return all;
    }

    /** Decides gaps and draws dams as the sources have them. @return the changes, in their order */
    List<UUID> layClosures(CarryPage there, UUID author, List<CarryPage> pages, List<Carry.Proposal> likes) {
        Closures closures = closures(there, pages, likes);
        List<UUID> made = new ArrayList<>();
        if (!closures.states().isEmpty()) {
            ChangeRequest.Dam dam = new ChangeRequest.Dam(
                    UUID.randomUUID(), there.layer().id(), closures.states(), OptionalDouble.empty());
            if (changes.make(there.sheet().id(), author, dam) instanceof ChangeOutcome.Made) {
                made.add(dam.id());
            }
        }
        UUID drawn = UUID.randomUUID();
        if (!closures.lines().isEmpty()
                && handDams.drawAll(there.sheet(), drawn, author, "Carried dams", closures.lines())) {
            made.add(drawn);
        }
        return made;
    }

    /** @return the change; empty if there was nothing to change */
    Optional<UUID> layGroups(CarryPage there, UUID author, List<CarryPage> pages, List<Carry.Proposal> likes) {
        UUID change = UUID.randomUUID();
        CellGroups before = groups.of(there.layer().id());
        CellGroups after = groups.change(
                change, there.sheet(), author, "Carried groups", present -> grouped(there, pages, likes, present));
        return after.equals(before) ? Optional.empty() : Optional.of(change);
    }

    private CellGroups grouped(CarryPage there, List<CarryPage> pages, List<Carry.Proposal> likes, CellGroups present) {
        CellGroups after = present;
        for (int source = 0; source < pages.size(); source++) {
            CarryPage page = pages.get(source);
            after = new CarriedGroups(page.regions(), source)
                    .onto(groups.of(page.layer().id()), likes, there.regions(), after, UUID::randomUUID);
        }
        return after;
    }
}
