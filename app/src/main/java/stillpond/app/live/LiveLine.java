package stillpond.app.live;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The line to one open page. What it is told waits in order until it has been sent, on other threads than those that tell it. */
final class LiveLine {

    /** What a page that does not take anything in is told before it is let go. */
    private static final int MOST_WAITING = 200;

    private static final long HOUR_MS = 3_600_000;

    private final UUID project;
    private final UUID person;
    private final String session;
    private final Executor senders;
    private final Consumer<LiveLine> gone;
    private final SseEmitter emitter = new SseEmitter(HOUR_MS);
    private final Deque<SseEmitter.SseEventBuilder> waiting = new ArrayDeque<>();
    private boolean isSending;

    /** @param gone told when nobody listens any more */
    LiveLine(UUID project, UUID person, String session, Executor senders, Consumer<LiveLine> gone) {
        this.project = project;
        this.person = person;
        this.session = session;
        this.senders = senders;
        this.gone = gone;
        emitter.onCompletion(() -> gone.accept(this));
        emitter.onTimeout(emitter::complete);
        emitter.onError(error -> gone.accept(this));
    }

    UUID project() {
        return project;
    }

    UUID person() {
        return person;
    }

    String session() {
        return session;
    }

    SseEmitter emitter() {
        return emitter;
    }

    synchronized void tell(SseEmitter.SseEventBuilder event) {
        waiting.add(event);
        if (waiting.size() > MOST_WAITING) {
            end();
        } else if (!isSending) {
            isSending = true;
            senders.execute(this::sendAll);
        }
    }

    void end() {
        gone.accept(this);
        emitter.complete();
    }

    private void sendAll() {
        for (SseEmitter.SseEventBuilder event = next(); event != null; event = next()) {
            try {
                emitter.send(event);
            } catch (IOException | IllegalStateException ended) {
                gone.accept(this);
            }
        }
    }

    private synchronized SseEmitter.SseEventBuilder next() {
        isSending = !waiting.isEmpty();
        return waiting.poll();
    }
}
