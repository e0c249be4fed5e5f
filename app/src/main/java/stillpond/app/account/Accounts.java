package stillpond.app.account;

import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds and opens accounts. Sign-in names are kept in lower case. */
@Service
public class Accounts {

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;
    private final String nobodys;

    Accounts(AccountRepository accounts, PasswordEncoder passwords) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.nobodys = passwords.encode(UUID.randomUUID().toString());
    }

    /** Whoever has this name. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> find(String signInName) {
        return accounts.findBySignInName(asKept(signInName)).map(Account::signedIn);
    }

    /** Whoever has this name, if the password is theirs. It takes as long to find that there is no such account as that the password is wrong. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> recognise(String signInName, String password) {
        Optional<Account> account = accounts.findBySignInName(asKept(signInName));
        boolean isTheirs =
                passwords.matches(password, account.map(Account::passwordHash).orElse(nobodys));
        return account.filter(known -> isTheirs).map(Account::signedIn);
    }

    private static String asKept(String signInName) {
        return signInName.strip().toLowerCase(Locale.ROOT);
    }

    @Transactional
    public UUID open(String signInName, String displayName, String password) {
        Account account =
                new Account(UUID.randomUUID(), asKept(signInName), displayName.strip(), passwords.encode(password));
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
