package stillpond.app.live;

import jakarta.servlet.http.HttpSession;
import java.io.IOException;
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

    private static final int SENDERS = 4;
    private static final int CHECKED_EVERY_MS = 30_000;

    private final ConcurrentLinkedDeque<LiveLine> lines = new ConcurrentLinkedDeque<>();
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

    SseEmitter open(UUID project, UUID person, HttpSession session) throws IOException {
        LiveLine line = new LiveLine(project, person, session.getId(), senders, lines::remove);
        lines.add(line);
        List<LiveLine> ofSession = lines.stream()
                .filter(each -> each.session().equals(line.session()))
                .toList();
        ofSession.stream()
                .limit(Math.max(0, ofSession.size() - MOST_OF_A_SESSION))
                .forEach(LiveLine::end);
        line.emitter().send(SseEmitter.event().name("hello").data("listening"));
        return line.emitter();
    }

    void tell(LiveEvent event) {
        for (LiveLine line : lines) {
            if (line.project().equals(event.project())) {
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
        endAll(line -> line.session().equals(session));
    }

    /** Sessions also run out, memberships end and browsers vanish, without anybody saying so here. */
    @Scheduled(fixedDelay = CHECKED_EVERY_MS)
    void check() {
        endAll(line -> sessions.findById(line.session()) == null || !projects.hasMember(line.project(), line.person()));
        lines.forEach(line -> line.tell(SseEmitter.event().comment("still here")));
    }

    /** Open lines would hold up the end of the application. */
    @EventListener
    void onClose(ContextClosedEvent closing) {
        endAll(line -> true);
        senders.shutdown();
    }

    private void endAll(Predicate<LiveLine> which) {
        lines.stream().filter(which).toList().forEach(LiveLine::end);
    }
}
