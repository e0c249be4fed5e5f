package stillpond.app.account;

import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Signs people in by name and password; what is kept of it afterwards holds neither the password nor its hash. */
@Component
class PasswordSignIn implements AuthenticationProvider {

    private static final Logger LOG = LoggerFactory.getLogger(PasswordSignIn.class);
    private static final int LONGEST = 200;

    private final Accounts accounts;
    private final SignInThrottle throttle;

    PasswordSignIn(Accounts accounts, SignInThrottle throttle) {
        this.accounts = accounts;
        this.throttle = throttle;
    }

    @Override
    public Authentication authenticate(Authentication tried) {
        String name = tried.getName();
        String password = String.valueOf(tried.getCredentials());
        String address =
                tried.getDetails() instanceof WebAuthenticationDetails details ? details.getRemoteAddress() : "";
        boolean isSane = name.length() <= LONGEST && password.length() <= LONGEST && name.indexOf('\0') < 0;
        SignedIn person = (isSane ? accounts.recognise(name, password) : Optional.<SignedIn>empty())
                .orElseThrow(() -> refused(name, address));
        throttle.succeeded(name, address);
        return UsernamePasswordAuthenticationToken.authenticated(person, null, List.of());
    }

    private BadCredentialsException refused(String name, String address) {
        throttle.failed(name, address);
        // What was typed as a name may be a password typed in the wrong place, and is not logged.
        LOG.warn("A sign-in failed, from {}", address);
        return new BadCredentialsException("Name and password do not belong together.");
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }
}
