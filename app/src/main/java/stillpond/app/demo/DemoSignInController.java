package stillpond.app.demo;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;
import stillpond.app.account.SigningIn;

/** Signs a person of the demo in with one click. Only there when the demo is on, and only for its own people. */
@Controller
@ConditionalOnProperty(name = "pond.demo", havingValue = "true")
class DemoSignInController {

    private final Accounts accounts;
    private final SigningIn signingIn;

    /** To the page that was asked for, as after any other sign-in. */
    private final SavedRequestAwareAuthenticationSuccessHandler onward =
            new SavedRequestAwareAuthenticationSuccessHandler();

    DemoSignInController(Accounts accounts, SigningIn signingIn) {
        this.accounts = accounts;
        this.signingIn = signingIn;
        onward.setRequestCache(new CookieRequestCache());
    }

    @PostMapping("/demo/sign-in")
    void signIn(@RequestParam String who, HttpServletRequest request, HttpServletResponse response)
            throws IOException, ServletException {
        DemoPerson person = DemoPerson.named(who).orElseThrow();
        SignedIn signedIn = accounts.find(person.signInName()).orElseThrow();
        signingIn.signIn(signedIn, request, response);
        onward.onAuthenticationSuccess(
                request, response, SecurityContextHolder.getContext().getAuthentication());
    }
}
