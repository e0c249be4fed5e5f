package stillpond.app.live;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import stillpond.app.palette.PaletteChanged;
import stillpond.app.sheet.SheetChanged;

/** Server-sent events (WHATWG HTML) for each project: {@code palette}, and {@code sheet} with its id. They carry no content; a page asks for what it shows. */
@RestController
class LiveController {

    private static final long HOUR_MS = 3_600_000;

    private final Map<UUID, Set<SseEmitter>> listeners = new ConcurrentHashMap<>();

    @GetMapping(path = "/projects/{project}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(@PathVariable UUID project) throws IOException {
        SseEmitter emitter = new SseEmitter(HOUR_MS);
        Set<SseEmitter> ofProject = listeners.computeIfAbsent(project, any -> ConcurrentHashMap.newKeySet());
        ofProject.add(emitter);
        emitter.onCompletion(() -> ofProject.remove(emitter));
        emitter.onTimeout(emitter::complete);
        emitter.onError(error -> ofProject.remove(emitter));
        emitter.send(SseEmitter.event().name("hello").data("listening"));
        return emitter;
    }

    @TransactionalEventListener
    void on(PaletteChanged changed) {
        tell(changed.project(), "palette", "changed");
    }

    @TransactionalEventListener
    void on(SheetChanged changed) {
        tell(changed.project(), "sheet", changed.sheet() + " " + changed.author());
    }

    /** Open lines would hold up the end of the application. */
    @EventListener
    void onClose(ContextClosedEvent closing) {
        listeners.values().forEach(ofProject -> ofProject.forEach(SseEmitter::complete));
    }

    private void tell(UUID project, String name, String data) {
        for (SseEmitter emitter : listeners.getOrDefault(project, Set.of())) {
            try {
                emitter.send(SseEmitter.event().name(name).data(data));
            } catch (IOException | IllegalStateException gone) {
                listeners.get(project).remove(emitter);
            }
        }
    }
}
