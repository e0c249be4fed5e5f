package stillpond.app.check;

import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;
import stillpond.core.check.Finding;

/** Checks sheets as they are stored. */
@Service
@Transactional
public class SheetFindings {

    private final Sheets sheets;
    private final SheetColours colours;
    private final AcceptedFindingRepository accepted;
    private final Clock clock;

    SheetFindings(Sheets sheets, SheetColours colours, AcceptedFindingRepository accepted, Clock clock) {
        this.sheets = sheets;
        this.colours = colours;
        this.accepted = accepted;
        this.clock = clock;
    }

    /** @param isAccepted whether somebody has said that it is meant */
    public record Found(UUID layer, Finding finding, boolean isAccepted) {}

    @Transactional(readOnly = true)
    public List<Found> of(UUID project, UUID sheet) {
        Sheet present = sheets.get(project, sheet);
        Layer layer = present.frontLayer();
        Set<String> meant = meant(layer);
        return sheets.check(layer, colours.dressed(present)).stream()
                .map(finding -> new Found(layer.id(), finding, meant.contains(finding.key())))
                .toList();
    }

    /** The keys of what somebody has said is meant. */
    @Transactional(readOnly = true)
    public Set<String> meant(Layer layer) {
        return accepted.findByKeyLayerId(layer.id()).stream()
                .map(AcceptedFinding::finding)
                .collect(Collectors.toSet());
    }

    /** How many findings nobody has accepted, without regions that are simply not laid yet: those are counted as left. */
    @Transactional(readOnly = true)
    public long count(UUID project, UUID sheet) {
        return of(project, sheet).stream()
                .filter(found -> !found.isAccepted())
                .filter(found -> !(found.finding() instanceof Finding.Unfilled unfilled
                        && unfilled.size() == Finding.Size.REGION))
                .count();
    }

    /** Says that a finding is meant, or that it is not after all. */
    public void accept(UUID project, UUID sheet, UUID person, String finding, boolean isMeant) {
        AcceptedFinding.Key key =
                new AcceptedFinding.Key(sheets.get(project, sheet).frontLayer().id(), finding);
        if (isMeant) {
            accepted.save(new AcceptedFinding(key, person, clock.instant()));
        } else {
            accepted.deleteById(key);
        }
    }
}
