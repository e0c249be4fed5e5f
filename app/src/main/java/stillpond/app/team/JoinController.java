package stillpond.app.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.account.SigningIn;
import stillpond.core.refusal.Refusal;

/** Where the link of an invitation leads. */
@Controller
@RequestMapping("/join/{code}")
class JoinController {

    private static final String PAGE = "team/join";

    private final Invitations invitations;
    private final SigningIn signingIn;

    JoinController(Invitations invitations, SigningIn signingIn) {
        this.invitations = invitations;
        this.signingIn = signingIn;
    }

    @GetMapping
    String page(@PathVariable String code, Model model, HttpServletResponse response) {
        try {
            model.addAttribute("offer", invitations.look(code));
            model.addAttribute("code", code);
        } catch (Refusal refusal) {
            response.setStatus(HttpStatus.GONE.value());
            model.addAttribute("over", refusal.getMessage());
        }
        return PAGE;
    }

    /** For whoever has an account: only asked for with a session, so that the way leads over signing in, and back. */
    @GetMapping("/sign-in")
    String signIn(@PathVariable String code) {
        return "redirect:/join/" + code;
    }

    /** For whoever is signed in. */
    @PostMapping
    String accept(
            @PathVariable String code,
            @AuthenticationPrincipal @Nullable SignedIn person,
            Model model,
            HttpServletResponse response) {
        if (person == null) {
            return "redirect:/sign-in";
        }
        return answer(code, model, response, () -> onward(invitations.accept(code, person)));
    }

    /** For whoever has no account yet. */
    @PostMapping("/account")
    String join(
            @PathVariable String code,
            @RequestParam String name,
            @RequestParam String shown,
            @RequestParam String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("name", name);
        model.addAttribute("shown", shown);
        return answer(code, model, response, () -> {
            Optional<UUID> project = invitations.look(code).project().map(each -> each.id());
            signingIn.signIn(invitations.join(code, name, shown, password), request, response);
            return onward(project);
        });
    }

    private interface Act {
        String run();
    }

    /** What was refused is said on the page as it is now. */
    private String answer(String code, Model model, HttpServletResponse response, Act act) {
        try {
            return act.run();
        } catch (Refusal refusal) {
            model.addAttribute("refusal", refusal.getMessage());
            return page(code, model, response);
        }
    }

    private static String onward(Optional<UUID> project) {
        return "redirect:/" + project.map(each -> "projects/" + each).orElse("");
    }
}
