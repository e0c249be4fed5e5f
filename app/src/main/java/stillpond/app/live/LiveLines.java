package stillpond.app.live;

import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Predicate;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import stillpond.app.project.Projects;

/** The lines over which open pages hear of changes. One ends with the session that opened it, or with the membership that it hears by. */
@Component
public class LiveLines {

    /** More than the pages somebody has open at once; a browser that opens one more loses its oldest. */
    static final int MOST_OF_A_SESSION = 12;

    /** What a page that does not take anything in is told before it is let go. */
    private static final int MOST_WAITING = 200;

    private static final int SENDERS = 4;
    private static final long HOUR_MS = 3_600_000;
    private static final int CHECKED_EVERY_MS = 30_000;

    private final ConcurrentLinkedDeque<Line> lines = new ConcurrentLinkedDeque<>();
    /** Whoever commits a change does not wait until everybody has heard of it. */
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS, work -> {
        Thread thread = new Thread(work, "live-sender");
        thread.setDaemon(true);
        return thread;
    });

    private final Projects projects;
    private final SessionRepository<?> sessions;

    LiveLines(Projects projects, SessionRepository<?> sessions) {
        this.projects = projects;
        this.sessions = sessions;
    }

    private final class Line {
        private final UUID project;
        private final UUID person;
        private final String session;
        private final SseEmitter emitter = new SseEmitter(HOUR_MS);
        private final Deque<SseEmitter.SseEventBuilder> waiting = new ArrayDeque<>();
        private boolean isSending;

        Line(UUID project, UUID person, String session) {
            this.project = project;
            this.person = person;
            this.session = session;
        }

        /** In order, whatever takes how long; a page that takes in nothing any more is let go. */
        synchronized void tell(SseEmitter.SseEventBuilder event) {
            waiting.add(event);
            if (waiting.size() > MOST_WAITING) {
                end(this);
            } else if (!isSending) {
                isSending = true;
                senders.execute(this::sendAll);
            }
        }

        private void sendAll() {
            for (SseEmitter.SseEventBuilder event = next(); event != null; event = next()) {
                try {
                    emitter.send(event);
                } catch (IOException | IllegalStateException gone) {
                    lines.remove(this);
                }
            }
        }

        private synchronized SseEmitter.SseEventBuilder next() {
            isSending = !waiting.isEmpty();
            return waiting.poll();
        }
    }

    SseEmitter open(UUID project, UUID person, HttpSession session) throws IOException {
        Line line = new Line(project, person, session.getId());
        SseEmitter emitter = line.emitter;
        lines.add(line);
        emitter.onCompletion(() -> lines.remove(line));
        emitter.onTimeout(emitter::complete);
        emitter.onError(error -> lines.remove(line));
        List<Line> ofSession =
                lines.stream().filter(each -> each.session.equals(line.session)).toList();
        ofSession.stream()
                .limit(Math.max(0, ofSession.size() - MOST_OF_A_SESSION))
                .forEach(this::end);
        emitter.send(SseEmitter.event().name("hello").data("listening"));
        return emitter;
    }

    void tell(LiveEvent event) {
        for (Line line : lines) {
            if (line.project.equals(event.project())) {
                line.tell(SseEmitter.event().name(event.name()).data(event.data()));
            }
        }
    }

    /** Something may have been missed. */
    void tellAllToLookAgain() {
        lines.forEach(line -> line.tell(SseEmitter.event().name("again").data("look again")));
    }

    /** Ends all lines of a session, which is about to end itself. */
    public void endOf(String session) {
        endAll(line -> line.session.equals(session));
    }

    /** Sessions also run out, memberships end and browsers vanish, without anybody saying so here. */
    @Scheduled(fixedDelay = CHECKED_EVERY_MS)
    void check() {
        endAll(line -> sessions.findById(line.session) == null || !projects.hasMember(line.project, line.person));
        lines.forEach(line -> line.tell(SseEmitter.event().comment("still here")));
    }

    /** Open lines would hold up the end of the application. */
    @EventListener
    void onClose(ContextClosedEvent closing) {
        endAll(line -> true);
        senders.shutdown();
    }

    private void endAll(Predicate<Line> which) {
        lines.stream().filter(which).toList().forEach(this::end);
    }

    private void end(Line line) {
        lines.remove(line);
        line.emitter.complete();
    }
}
