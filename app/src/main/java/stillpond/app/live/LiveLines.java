package stillpond.app.live;

import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedDeque;
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

    private static final long HOUR_MS = 3_600_000;
    private static final int CHECKED_EVERY_MS = 30_000;

    private final ConcurrentLinkedDeque<Line> lines = new ConcurrentLinkedDeque<>();
    private final Projects projects;
    private final SessionRepository<?> sessions;

    LiveLines(Projects projects, SessionRepository<?> sessions) {
        this.projects = projects;
        this.sessions = sessions;
    }

    private record Line(UUID project, UUID person, String session, SseEmitter emitter) {}

    SseEmitter open(UUID project, UUID person, HttpSession session) throws IOException {
        SseEmitter emitter = new SseEmitter(HOUR_MS);
        Line line = new Line(project, person, session.getId(), emitter);
        lines.add(line);
        emitter.onCompletion(() -> lines.remove(line));
        emitter.onTimeout(emitter::complete);
        emitter.onError(error -> lines.remove(line));
        List<Line> ofSession = lines.stream()
                .filter(each -> each.session().equals(line.session()))
                .toList();
        ofSession.stream()
                .limit(Math.max(0, ofSession.size() - MOST_OF_A_SESSION))
                .forEach(this::end);
        emitter.send(SseEmitter.event().name("hello").data("listening"));
        return emitter;
    }

    void tell(UUID project, String name, String data) {
        for (Line line : lines) {
            if (line.project().equals(project)) {
                send(line, SseEmitter.event().name(name).data(data));
            }
        }
    }

    private void send(Line line, SseEmitter.SseEventBuilder event) {
        try {
            line.emitter().send(event);
        } catch (IOException | IllegalStateException gone) {
            lines.remove(line);
        }
    }

    /** Ends all lines of a session, which is about to end itself. */
    public void endOf(String session) {
        endAll(line -> line.session().equals(session));
    }

    /** Sessions also run out, memberships end and browsers vanish, without anybody saying so here. */
    @Scheduled(fixedDelay = CHECKED_EVERY_MS)
    void check() {
        endAll(line -> sessions.findById(line.session()) == null || !projects.hasMember(line.project(), line.person()));
        lines.forEach(line -> send(line, SseEmitter.event().comment("still here")));
    }

    /** Open lines would hold up the end of the application. */
    @EventListener
    void onClose(ContextClosedEvent closing) {
        endAll(line -> true);
    }

    private void endAll(Predicate<Line> which) {
        lines.stream().filter(which).toList().forEach(this::end);
    }

    private void end(Line line) {
        lines.remove(line);
        line.emitter().complete();
    }
}
