package stillpond.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Begins sessions. */
@Component
public class SigningIn {

    /** The browser that a session was begun with, as it calls itself. */
    static final String BROWSER = "browser";

    /** Where somebody has to go who {@link #enter enters} and is not in yet. */
    public static final String SECOND = "/sign-in/second";

    private static final String AWAITED = "awaited";
    private static final Duration PATIENCE = Duration.ofMinutes(5);
    private static final int LONGEST = 300;

    /** Somebody whose second factor is awaited. */
    private record Awaited(UUID account, Instant since) implements Serializable {}

    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();
    private final ChangeSessionIdAuthenticationStrategy sessions = new ChangeSessionIdAuthenticationStrategy();
    private final SecondFactor secondFactor;
    private final Audit audit;
    private final Clock clock;

    SigningIn(SecondFactor secondFactor, Audit audit, Clock clock) {
        this.secondFactor = secondFactor;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Lets somebody in who has shown who they are by one factor, or asks for the second one where they have switched that on.
     *
     * @return whether they are in
     */
    public boolean enter(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        if (!secondFactor.isOn(person.id())) {
            signIn(person, request, response);
            return true;
        }
        SecurityContextHolder.clearContext();
        request.getSession();
        request.changeSessionId();
        contexts.saveContext(SecurityContextHolder.createEmptyContext(), request, response);
        request.getSession().setAttribute(AWAITED, new Awaited(person.id(), clock.instant()));
        return false;
    }

    /** Who is to show the second factor in this session; nobody if it was too long ago. */
    Optional<UUID> awaited(HttpSession session) {
        return session.getAttribute(AWAITED) instanceof Awaited awaited
                        && awaited.since().plus(PATIENCE).isAfter(clock.instant())
                ? Optional.of(awaited.account())
                : Optional.empty();
    }

    /** For somebody who has shown all that is asked of them. */
    public void signIn(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null, List.of()));
        request.getSession().removeAttribute(AWAITED);
        sessions.onAuthentication(context.getAuthentication(), request, response);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        began(person, request);
    }

    /** Notes what is kept of a session that has just begun. */
    private void began(SignedIn person, HttpServletRequest request) {
        HttpSession session = request.getSession();
        String browser = Objects.toString(request.getHeader(HttpHeaders.USER_AGENT), "");
        session.setAttribute(BROWSER, browser.substring(0, Math.min(LONGEST, browser.length())));
        audit.note(person.id(), null, Audit.Kind.SIGNED_IN, "Signed in");
    }
}
