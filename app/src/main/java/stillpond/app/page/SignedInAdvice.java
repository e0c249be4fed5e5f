package stillpond.app.page;

import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import stillpond.app.account.SignedIn;

/** Gives every page the person who is signed in, as {@code person}; null on pages that anybody may see. */
@ControllerAdvice
class SignedInAdvice {

    @ModelAttribute("person")
    SignedIn person(@AuthenticationPrincipal SignedIn person) {
        return person;
    }
}
