package stillpond.app.account;

import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The person behind a request. What they may do depends on the project, so there are no authorities here. */
public record SignedIn(UUID id, String signInName, String displayName, String passwordHash) implements UserDetails {

    @Override
    public List<GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return signInName;
    }
}
