package stillpond.app.account;

import java.io.Serializable;
import java.util.UUID;
import org.springframework.security.core.AuthenticatedPrincipal;

/** The person behind a request, as it is kept in a session: nothing in it is secret. What they may do depends on the project. */
public record SignedIn(UUID id, String signInName, String displayName) implements AuthenticatedPrincipal, Serializable {

    @Override
    public String getName() {
        return signInName;
    }
}
