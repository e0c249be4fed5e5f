package stillpond.app.account;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Component;
import stillpond.core.refusal.Refusal;

/** Asks for the present password before what lets somebody in is changed: whoever finds a desk left open does not get further with it. */
@Component
public class OwnPassword {

    private final Accounts accounts;
    private final SignInThrottle throttle;

    OwnPassword(Accounts accounts, SignInThrottle throttle) {
        this.accounts = accounts;
        this.throttle = throttle;
    }

    /** @throws Refusal if it is another one, or was tried too often */
    public void require(SignedIn person, String password, HttpServletRequest request) {
        String address = request.getRemoteAddr();
        if (!throttle.wait(person.signInName(), address).isZero()) {
            throw new Refusal("Too many tries. Wait a little, and try again. Nothing was changed.");
        }
        if (accounts.recognise(person.signInName(), password).isEmpty()) {
            throttle.failed(person.signInName(), address);
            throw new Refusal("This is not your present password. Nothing was changed.");
        }
    }
}
