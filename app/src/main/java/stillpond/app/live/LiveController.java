package stillpond.app.live;

import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Sheets;

/** Server-sent events (WHATWG HTML) for each project; docs/architecture.md names them. They carry no content; a page asks for what it shows. */
@RestController
@RequestMapping("/projects/{project}")
class LiveController {

    private final LiveLines lines;
    private final LiveWire wire;
    private final Sheets sheets;

    LiveController(LiveLines lines, LiveWire wire, Sheets sheets) {
        this.lines = lines;
        this.wire = wire;
        this.sheets = sheets;
    }

    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, HttpSession session)
            throws IOException {
        return lines.open(project, person.id(), session);
    }

    /**
     * Where somebody is on a sheet.
     *
     * @param region the one pointed at, by one of its cells; or null
     * @param leaves whether the page is being left
     */
    record HereMessage(@Nullable Integer region, boolean leaves) {}

    /** Tells the other pages where somebody is. Nothing of it is kept. */
    @PostMapping("/sheets/{sheet}/here")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void here(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody HereMessage here) {
        sheets.require(project, sheet);
        wire.announce(
                project,
                new LiveMessage.Presence(
                        sheet,
                        FromPage.id().orElse(null),
                        person.id(),
                        person.displayName(),
                        here.region(),
                        here.leaves()));
    }
}
