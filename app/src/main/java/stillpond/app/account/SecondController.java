package stillpond.app.account;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Asks whoever has switched it on for the second factor, when the first one was right. */
@Controller
@RequestMapping(SigningIn.SECOND)
class SecondController {

    private static final String PAGE = "account/second";
    private static final String BACK = "redirect:/sign-in";

    private final SecondFactor secondFactor;
    private final SigningIn signingIn;
    private final Accounts accounts;
    private final SignInThrottle throttle;

    /** To the page that was asked for, as after any other sign-in. */
    private final SavedRequestAwareAuthenticationSuccessHandler onward =
            new SavedRequestAwareAuthenticationSuccessHandler();

    SecondController(SecondFactor secondFactor, SigningIn signingIn, Accounts accounts, SignInThrottle throttle) {
        this.secondFactor = secondFactor;
        this.signingIn = signingIn;
        this.accounts = accounts;
        this.throttle = throttle;
        onward.setRequestCache(new CookieRequestCache());
    }

    @GetMapping
    String page(HttpSession session) {
        return signingIn.awaited(session).isPresent() ? PAGE : BACK;
    }

    /** @return null where the answer is sent already */
    @PostMapping
    @Nullable
    String take(
            @RequestParam String code,
            HttpSession session,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model)
            throws ServletException, IOException {
        Optional<UUID> awaited = signingIn.awaited(session);
        if (awaited.isEmpty()) {
            return BACK;
        }
        SignedIn person = accounts.find(awaited.get()).orElseThrow();
        String address = request.getRemoteAddr();
        if (!throttle.wait(person.signInName(), address).isZero()) {
            model.addAttribute("refusal", "Too many tries. Wait a little, and try again.");
            return PAGE;
        }
        if (!secondFactor.take(person.id(), code)) {
            throttle.failed(person.signInName(), address);
            model.addAttribute("refusal", "This is not what the device shows now, and no code that is left.");
            return PAGE;
        }
        signingIn.signIn(person, request, response);
        onward.onAuthenticationSuccess(
                request, response, SecurityContextHolder.getContext().getAuthentication());
        return null;
    }
}
