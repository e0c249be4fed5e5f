package stillpond.app.card;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.colour.Srgb;

/** The colours that a person has used, latest first, over all projects: any of them comes back exactly. */
@Service
@Transactional
class UsedColours {

    private final UsedColourRepository colours;
    private final Clock clock;

    UsedColours(UsedColourRepository colours, Clock clock) {
        this.colours = colours;
        this.clock = clock;
    }

    void note(UUID account, Srgb colour) {
        colours.save(new UsedColour(account, colour.packed(), clock.instant()));
    }

    @Transactional(readOnly = true)
    public List<String> of(UUID account) {
        return colours.findTop48ByKeyAccountIdOrderByUsedAtDesc(account).stream()
                .map(each -> Srgb.ofPacked(each.srgb()).hex())
                .toList();
    }
}
