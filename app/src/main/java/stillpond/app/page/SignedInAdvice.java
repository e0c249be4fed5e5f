package stillpond.app.page;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Members;
import stillpond.app.project.Role;

/**
 * Gives every page the person who is signed in, as {@code person}, null on pages that anybody may see; and whether they only look at what the
 * page shows, as {@code looksOnly}.
 */
@ControllerAdvice
class SignedInAdvice {

    private final Members members;

    SignedInAdvice(Members members) {
        this.members = members;
    }

    @ModelAttribute("looksOnly")
    boolean looksOnly(@PathVariable(required = false) UUID project, @AuthenticationPrincipal SignedIn person) {
        return project != null
                && person != null
                && members.role(project, person.id()).filter(Role.GUEST::equals).isPresent();
    }

    @ModelAttribute("person")
    SignedIn person(@AuthenticationPrincipal SignedIn person) {
        return person;
    }
}
