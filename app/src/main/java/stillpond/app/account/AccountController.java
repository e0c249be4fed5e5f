package stillpond.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.core.refusal.Refusal;

/** One's own account: names, address, password, and where one is signed in. */
@Controller
@RequestMapping("/account")
class AccountController {

    private static final String BACK = "redirect:/account";
    private static final int NOTED = 30;
    /** So many are shown at once; older ones are unfolded. */
    private static final int LATEST_SESSIONS = 5;

    /** The secret that is shown and does not count yet. */
    private static final String PENDING = "pending second factor";

    private final Accounts accounts;
    private final PersonSessions sessions;
    private final OwnPassword ownPassword;
    private final SigningIn signingIn;
    private final SecondFactor secondFactor;
    private final PasswordResets resets;
    private final Audit audit;

    AccountController(
            Accounts accounts,
            PersonSessions sessions,
            OwnPassword ownPassword,
            SigningIn signingIn,
            SecondFactor secondFactor,
            PasswordResets resets,
            Audit audit) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.ownPassword = ownPassword;
        this.signingIn = signingIn;
        this.secondFactor = secondFactor;
        this.resets = resets;
        this.audit = audit;
    }

    @GetMapping
    String page(@AuthenticationPrincipal SignedIn person, HttpSession session, Model model) {
        model.addAttribute("address", accounts.addressOf(person.id()));
        List<PersonSessions.Shown> signedIn = sessions.of(person, session.getId());
        int shown = Math.min(LATEST_SESSIONS, signedIn.size());
        model.addAttribute("latest", signedIn.subList(0, shown));
        model.addAttribute("earlier", signedIn.subList(shown, signedIn.size()));
        model.addAttribute("noted", audit.by(person.id(), NOTED));
        model.addAttribute("shortest", NewPassword.SHORTEST);
        model.addAttribute("isSecondOn", secondFactor.isOn(person.id()));
        model.addAttribute("codesLeft", secondFactor.codesLeft(person.id()));
        if (session.getAttribute(PENDING) instanceof String pending) {
            model.addAttribute("pending", pending);
            model.addAttribute("qr", QrPicture.of(new TotpSecret(pending).address(person.signInName())));
        }
        return "account/account";
    }

    /** The name that others see. */
    @PostMapping("/shown")
    String showAs(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam String name,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes told) {
        return tell(told, "Others see you as " + name.strip() + " now.", () -> {
            accounts.showAs(person.id(), name);
            // The name is kept with the session, too.
            signingIn.signIn(accounts.find(person.id()).orElseThrow(), request, response);
        });
    }

    @PostMapping("/address")
    String address(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam String address,
            @RequestParam String password,
            HttpServletRequest request,
            RedirectAttributes told) {
        String done =
                address.isBlank() ? "No letters are sent to you now." : "Letters go to " + address.strip() + " now.";
        return tell(told, done, () -> {
            ownPassword.require(person, password, request);
            accounts.writeTo(person.id(), address);
            audit.note(person.id(), null, Audit.Kind.ACCOUNT, "Changed the mail address");
        });
    }

    /** All other sessions end, in case somebody else had the old one. */
    @PostMapping("/password")
    String password(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam String password,
            @RequestParam String wanted,
            HttpServletRequest request,
            HttpSession session,
            RedirectAttributes told) {
        return tell(told, "Your password is another one now, and you are signed out everywhere else.", () -> {
            ownPassword.require(person, password, request);
            accounts.changePassword(person.id(), wanted);
            sessions.endOthers(person, session.getId());
            audit.note(person.id(), null, Audit.Kind.PASSWORD, "Changed the password");
            resets.tellOfChange(person);
        });
    }

    @PostMapping("/sessions/end")
    String end(@AuthenticationPrincipal SignedIn person, @RequestParam String key, RedirectAttributes told) {
        sessions.end(person, key);
        audit.note(person.id(), null, Audit.Kind.SESSIONS, "Signed out elsewhere");
        told.addFlashAttribute("said", "Signed out there.");
        return BACK;
    }

    @PostMapping("/sessions/end-others")
    String endOthers(@AuthenticationPrincipal SignedIn person, HttpSession session, RedirectAttributes told) {
        sessions.endOthers(person, session.getId());
        audit.note(person.id(), null, Audit.Kind.SESSIONS, "Signed out everywhere else");
        told.addFlashAttribute("said", "Signed out everywhere but here.");
        return BACK;
    }

    /** Shows a new secret, which counts from when the device has proved that it has it. */
    @PostMapping("/second/begin")
    String beginSecond(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam String password,
            HttpServletRequest request,
            HttpSession session,
            RedirectAttributes told) {
        return tell(told, "Take this picture in with your device, and type what it shows.", () -> {
            ownPassword.require(person, password, request);
            session.setAttribute(PENDING, TotpSecret.random().text());
        });
    }

    @PostMapping("/second/on")
    String switchSecondOn(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam String code,
            HttpSession session,
            RedirectAttributes told) {
        return tell(told, "The second factor is asked for from now on.", () -> {
            if (!(session.getAttribute(PENDING) instanceof String pending)) {
                throw new Refusal("Begin anew: the picture is gone. Nothing was changed.");
            }
            told.addFlashAttribute("codes", secondFactor.switchOn(person.id(), new TotpSecret(pending), code));
            session.removeAttribute(PENDING);
        });
    }

    @PostMapping("/second/off")
    String switchSecondOff(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam String password,
            HttpServletRequest request,
            RedirectAttributes told) {
        return tell(told, "The password alone is asked for from now on.", () -> {
            ownPassword.require(person, password, request);
            secondFactor.switchOff(person.id());
        });
    }

    private static String tell(RedirectAttributes told, String done, Runnable act) {
        try {
            act.run();
            told.addFlashAttribute("said", done);
        } catch (Refusal refusal) {
            told.addFlashAttribute("refusal", refusal.getMessage());
        }
        return BACK;
    }
}
