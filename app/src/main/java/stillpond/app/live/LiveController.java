package stillpond.app.live;

import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import stillpond.app.account.SignedIn;
import stillpond.app.palette.PaletteChanged;
import stillpond.app.sheet.SheetChanged;

/** Server-sent events (WHATWG HTML) for each project: {@code palette}, and {@code sheet} with its id. They carry no content; a page asks for what it shows. */
@RestController
class LiveController {

    private final LiveLines lines;

    LiveController(LiveLines lines) {
        this.lines = lines;
    }

    @GetMapping(path = "/projects/{project}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, HttpSession session)
            throws IOException {
        return lines.open(project, person.id(), session);
    }

    @TransactionalEventListener
    void on(PaletteChanged changed) {
        lines.tell(changed.project(), "palette", "changed");
    }

    @TransactionalEventListener
    void on(SheetChanged changed) {
        lines.tell(changed.project(), "sheet", changed.sheet() + " " + changed.author());
    }
}
