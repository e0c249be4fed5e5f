package stillpond.app.account;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Where somebody is signed in. */
@Service
class PersonSessions {

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    PersonSessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** @param key names it on a page: what a cookie holds is not shown @param isThis whether it is the one that asks */
    record Shown(String key, String browser, Instant began, Instant lastSeen, boolean isThis) {}

    /** Last seen first. @param present the id of the session that asks */
    List<Shown> of(SignedIn person, String present) {
        return known(person).entrySet().stream()
                .map(each -> new Shown(
                        keyOf(each.getKey()),
                        Browsers.called(Objects.toString(each.getValue().getAttribute(SigningIn.BROWSER), "")),
                        each.getValue().getCreationTime(),
                        each.getValue().getLastAccessedTime(),
                        each.getKey().equals(present)))
                .sorted(Comparator.comparing(Shown::lastSeen).reversed())
                .toList();
    }

    void end(SignedIn person, String key) {
        known(person).keySet().stream().filter(id -> keyOf(id).equals(key)).forEach(sessions::deleteById);
    }

    /** @param present the id of the one that goes on, or empty */
    void endOthers(SignedIn person, String present) {
        known(person).keySet().stream().filter(id -> !id.equals(present)).forEach(sessions::deleteById);
    }

    private Map<String, ? extends Session> known(SignedIn person) {
        return sessions.findByPrincipalName(person.getName());
    }

    private static String keyOf(String session) {
        return new OneTimeCode(session).hash();
    }
}
