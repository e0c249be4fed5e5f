package stillpond.app.demo;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
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

    DemoSignInController(Accounts accounts) {
        this.accounts = accounts;
    }

    @PostMapping("/demo/sign-in")
    String signIn(@RequestParam String who, HttpServletRequest request, HttpServletResponse response) {
        DemoPerson person = DemoPerson.named(who).orElseThrow();
        SignedIn signedIn = accounts.find(person.signInName()).orElseThrow();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(signedIn, null, List.of()));
        request.getSession();
        sessions.onAuthentication(context.getAuthentication(), request, response);
        contexts.saveContext(context, request, response);
        return "redirect:/";
    }
}
