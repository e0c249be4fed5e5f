package stillpond.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Objects;
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

    private static final int LONGEST = 300;

    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();
    private final ChangeSessionIdAuthenticationStrategy sessions = new ChangeSessionIdAuthenticationStrategy();
    private final Audit audit;

    SigningIn(Audit audit) {
        this.audit = audit;
    }

    /** For somebody who has shown by other means than name and password who they are. */
    public void signIn(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null, List.of()));
        request.getSession();
        sessions.onAuthentication(context.getAuthentication(), request, response);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        began(person, request);
    }

    /** Notes what is kept of a session that has just begun. */
    public void began(SignedIn person, HttpServletRequest request) {
        HttpSession session = request.getSession();
        String browser = Objects.toString(request.getHeader(HttpHeaders.USER_AGENT), "");
        session.setAttribute(BROWSER, browser.substring(0, Math.min(LONGEST, browser.length())));
        audit.note(person.id(), null, Audit.Kind.SIGNED_IN, "Signed in");
    }
}
