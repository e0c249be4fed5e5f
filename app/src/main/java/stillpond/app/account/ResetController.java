package stillpond.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import stillpond.app.mail.Letters;
import stillpond.core.refusal.Refusal;

/** The way back in for whoever forgot the password. */
@Controller
class ResetController {

    private static final Logger LOG = LoggerFactory.getLogger(ResetController.class);
    private static final String ASKING = "account/forgotten";

    private final PasswordResets resets;
    private final PersonSessions sessions;
    private final SigningIn signingIn;
    private final Letters letters;

    ResetController(PasswordResets resets, PersonSessions sessions, SigningIn signingIn, Letters letters) {
        this.resets = resets;
        this.sessions = sessions;
        this.signingIn = signingIn;
        this.letters = letters;
    }

    @GetMapping("/forgotten")
    String forgotten(Model model) {
        model.addAttribute("isSent", letters.areSent());
        return ASKING;
    }

    /** The answer is the same whether there is such an account, and whether a letter could be sent. */
    @PostMapping("/forgotten")
    String ask(@RequestParam String who, Model model) {
        try {
            resets.ask(who, ServletUriComponentsBuilder.fromCurrentContextPath().toUriString());
        } catch (Refusal notSent) {
            LOG.warn("No link for a new password was sent: {}", notSent.getMessage());
        }
        model.addAttribute("isSent", letters.areSent());
        model.addAttribute("asked", true);
        return ASKING;
    }

    @GetMapping("/reset/{code}")
    String reset(@PathVariable String code, Model model) {
        try {
            model.addAttribute("whose", resets.look(code).signInName());
        } catch (Refusal refusal) {
            model.addAttribute("over", refusal.getMessage());
        }
        model.addAttribute("shortest", NewPassword.SHORTEST);
        return "account/reset";
    }

    @PostMapping("/reset/{code}")
    String take(
            @PathVariable String code,
            @RequestParam String wanted,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        try {
            SignedIn person = resets.take(code, wanted);
            sessions.endOthers(person, "");
            return "redirect:" + (signingIn.enter(person, request, response) ? "/" : SigningIn.SECOND);
        } catch (Refusal refusal) {
            model.addAttribute("refusal", refusal.getMessage());
            return reset(code, model);
        }
    }
}
