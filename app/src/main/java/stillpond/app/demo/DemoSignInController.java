package stillpond.app.demo;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;

/** Signs a person of the demo in with one click. Only there when the demo is on, and only for its own people. */
@Controller
@ConditionalOnProperty(name = "pond.demo", havingValue = "true")
class DemoSignInController {

    private final Accounts accounts;
    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();
    private final ChangeSessionIdAuthenticationStrategy sessions = new ChangeSessionIdAuthenticationStrategy();

    /** To the page that was asked for, as after any other sign-in. */
    private final SavedRequestAwareAuthenticationSuccessHandler onward =
            new SavedRequestAwareAuthenticationSuccessHandler();

    DemoSignInController(Accounts accounts) {
        this.accounts = accounts;
        onward.setRequestCache(new CookieRequestCache());
    }

    @PostMapping("/demo/sign-in")
    void signIn(@RequestParam String who, HttpServletRequest request, HttpServletResponse response)
            throws IOException, ServletException {
        DemoPerson person = DemoPerson.named(who).orElseThrow();
        SignedIn signedIn = accounts.find(person.signInName()).orElseThrow();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(signedIn, null, List.of()));
        request.getSession();
        sessions.onAuthentication(context.getAuthentication(), request, response);
        contexts.saveContext(context, request, response);
        onward.onAuthenticationSuccess(request, response, context.getAuthentication());
    }
}
