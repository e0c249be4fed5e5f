package stillpond.app.passkey;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.SavedRequest;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import stillpond.app.account.OwnPassword;
import stillpond.app.account.SignedIn;
import stillpond.app.account.SigningIn;
import stillpond.core.refusal.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Signing in by passkey, and the passkeys of an account. What passes between browser and server is the JSON of Web Authentication, Level 3. */
@Controller
class PasskeyController {

    private static final String OFFERED = "passkey offered";
    private static final String ASKED = "passkey asked";
    private static final int PATIENCE_S = 300;
    private static final String LIST = "passkey/passkeys";

    private static final JsonMapper JSON =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    private final Passkeys passkeys;
    private final SigningIn signingIn;
    private final OwnPassword ownPassword;
    private final CookieRequestCache asked = new CookieRequestCache();

    PasskeyController(Passkeys passkeys, SigningIn signingIn, OwnPassword ownPassword) {
        this.passkeys = passkeys;
        this.signingIn = signingIn;
        this.ownPassword = ownPassword;
    }

    /** A session that ends soon keeps what was asked, on all nodes, until it is answered. */
    @PostMapping(path = "/sign-in/passkey/options", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String ask(HttpServletRequest request) {
        PublicKeyCredentialRequestOptions options = passkeys.ask(request);
        HttpSession session = request.getSession();
        session.setMaxInactiveInterval(PATIENCE_S);
        session.setAttribute(ASKED, options);
        return JSON.writeValueAsString(options);
    }

    /** @param to where the person wanted to go */
    record In(String to) {}

    @PostMapping("/sign-in/passkey")
    @ResponseBody
    In signIn(@RequestBody String shown, HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession();
        if (!(session.getAttribute(ASKED) instanceof PublicKeyCredentialRequestOptions options)) {
            throw new Refusal("This took too long. Try again.");
        }
        // Whatever comes of it, nothing is asked twice.
        session.invalidate();
        SignedIn person = passkeys.recognise(
                options,
                read(shown, new TypeReference<PublicKeyCredential<AuthenticatorAssertionResponse>>() {}),
                request);
        SavedRequest wanted = asked.getRequest(request, response);
        asked.removeRequest(request, response);
        signingIn.signIn(person, request, response);
        return new In(wanted == null ? "/" : wanted.getRedirectUrl());
    }

    @GetMapping("/account/passkeys")
    String list(@AuthenticationPrincipal SignedIn person, HttpServletRequest request, Model model) {
        model.addAttribute("passkeys", passkeys.of(person.id()));
        model.addAttribute("areGiven", Passkeys.areGivenTo(request));
        return LIST;
    }

    /** @param password the present one */
    record Wanted(String password) {}

    @PostMapping(path = "/account/passkeys/options", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String offer(
            @RequestBody Wanted wanted,
            @AuthenticationPrincipal SignedIn person,
            Authentication known,
            HttpServletRequest request) {
        ownPassword.require(person, Optional.ofNullable(wanted.password()).orElse(""), request);
        PublicKeyCredentialCreationOptions options = passkeys.offer(person, known, request);
        request.getSession().setAttribute(OFFERED, options);
        return JSON.writeValueAsString(options);
    }

    @PostMapping("/account/passkeys")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(
            @RequestParam String label,
            @RequestBody String made,
            @AuthenticationPrincipal SignedIn person,
            HttpServletRequest request) {
        HttpSession session = request.getSession();
        if (!(session.getAttribute(OFFERED) instanceof PublicKeyCredentialCreationOptions options)) {
            throw new Refusal("This took too long. Nothing was added; try again.");
        }
        session.removeAttribute(OFFERED);
        PublicKeyCredential<AuthenticatorAttestationResponse> credential = read(made, new TypeReference<>() {});
        passkeys.add(person, options, new RelyingPartyPublicKey(credential, label), request);
    }

    @PostMapping("/account/passkeys/{id}/remove")
    String remove(
            @PathVariable String id,
            @AuthenticationPrincipal SignedIn person,
            HttpServletRequest request,
            Model model) {
        passkeys.remove(person, id);
        return list(person, request, model);
    }

    private static <T> T read(String json, TypeReference<T> type) {
        try {
            return JSON.readValue(json, type);
        } catch (JacksonException | IllegalArgumentException unreadable) {
            throw new Refusal("This is no passkey.");
        }
    }
}
