package stillpond.app.page;

import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestAttribute;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Role;

/**
 * Gives every page the person who is signed in, as {@code person}, null on pages that anybody may see; and whether they only look at what the
 * page shows, as {@code looksOnly}.
 */
@ControllerAdvice
class SignedInAdvice {

    @ModelAttribute("looksOnly")
    boolean looksOnly(@RequestAttribute(name = Role.OF_REQUEST, required = false) Role role) {
        return role == Role.GUEST;
    }

    @ModelAttribute("person")
    SignedIn person(@AuthenticationPrincipal SignedIn person) {
        return person;
    }
}
