package stillpond.app.check;

import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;
import stillpond.core.check.Finding;
import stillpond.core.palette.Palette;

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

    /** @param layer that it was found on @param isAccepted whether somebody has said that it is meant */
    public record Found(Layer layer, Finding finding, boolean isAccepted) {

        /** Whether it counts as something to check: nobody has accepted it, and it is more than a region not laid yet. */
        public boolean isToCheck() {
            return !isAccepted && finding.isToCheck();
        }
    }

    /** On all layers of a sheet, from front to back. */
    @Transactional(readOnly = true)
    public List<Found> of(UUID project, UUID sheet) {
        Sheet present = sheets.get(project, sheet);
        Palette palette = colours.dressed(present);
        return present.layers().stream().flatMap(layer -> on(layer, palette)).toList();
    }

    private Stream<Found> on(Layer layer, Palette palette) {
        Set<String> meant = meant(layer);
        return sheets.check(layer, palette).stream()
                .map(finding -> new Found(layer, finding, meant.contains(finding.key())));
    }

    /** The keys of what somebody has said is meant. */
    @Transactional(readOnly = true)
    public Set<String> meant(Layer layer) {
        return accepted.findByKeyLayerId(layer.id()).stream()
                .map(AcceptedFinding::finding)
                .collect(Collectors.toSet());
    }

    /** How many there are to check. */
    @Transactional(readOnly = true)
    public long count(UUID project, UUID sheet) {
        return of(project, sheet).stream().filter(Found::isToCheck).count();
    }

    /** Says that a finding is meant, or that it is not after all. */
    public void accept(Layer layer, UUID person, String finding, boolean isMeant) {
        AcceptedFinding.Key key = new AcceptedFinding.Key(layer.id(), finding);
        if (isMeant) {
            accepted.save(new AcceptedFinding(key, person, clock.instant()));
        } else {
            accepted.deleteById(key);
        }
    }
}
