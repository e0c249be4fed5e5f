package stillpond.app.account;

import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds and opens accounts. Sign-in names are kept in lower case. */
@Service
public class Accounts implements UserDetailsService {

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;

    Accounts(AccountRepository accounts, PasswordEncoder passwords) {
        this.accounts = accounts;
        this.passwords = passwords;
    }

    @Override
    @Transactional(readOnly = true)
    public SignedIn loadUserByUsername(String signInName) {
        return accounts.findBySignInName(signInName.strip().toLowerCase(Locale.ROOT))
                .map(Account::signedIn)
                .orElseThrow(() -> new UsernameNotFoundException("No account has this name."));
    }

    @Transactional
    public UUID open(String signInName, String displayName, String password) {
        Account account = new Account(
                UUID.randomUUID(),
                signInName.strip().toLowerCase(Locale.ROOT),
                displayName.strip(),
                passwords.encode(password));
        return accounts.save(account).id();
    }

    /** The names under which some people are shown, by account. */
    @Transactional(readOnly = true)
    public Map<UUID, String> names(Collection<UUID> ids) {
        return accounts.findAllById(ids).stream().collect(Collectors.toMap(Account::id, Account::displayName));
    }

    @Transactional(readOnly = true)
    public boolean none() {
        return accounts.count() == 0;
    }
}
