package stillpond.app.device;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.refusal.Refusal;

/** Which inks of their own the press is loaded with. */
@Component
@Transactional
class PressInks {

    /** As many units as it has beside those of the process inks. */
    static final int MOST = 4;

    private static final int LONGEST = 200;

    private final PressInkRepository inks;

    PressInks(PressInkRepository inks) {
        this.inks = inks;
    }

    @Transactional(readOnly = true)
    public List<String> of(UUID project) {
        return inks.findByKeyProjectId(project).stream()
                .map(PressInk::ink)
                .sorted()
                .toList();
    }

    /** @throws Refusal if it has no room for so many */
    void load(UUID project, List<String> wanted) {
        List<String> named = wanted.stream().distinct().toList();
        if (named.size() > MOST || named.stream().anyMatch(ink -> ink.isBlank() || ink.length() > LONGEST)) {
            throw new Refusal(
                    "The press has room for " + MOST + " inks of their own beside cyan, magenta, yellow and black.");
        }
        inks.deleteByKeyProjectId(project);
        inks.flush();
        named.forEach(ink -> inks.save(new PressInk(project, ink)));
    }
}
