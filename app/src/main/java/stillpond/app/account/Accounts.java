package stillpond.app.account;

import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.mail.Letter;
import stillpond.core.refusal.Refusal;

/** Finds and opens accounts. Sign-in names are kept in lower case. */
@Service
public class Accounts {

    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{N}._-]{2,60}");
    private static final int LONGEST_SHOWN = 60;

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
        boolean isTheirs = passwords.matches(
                NewPassword.normalized(password),
                account.map(Account::passwordHash).orElse(nobodys));
        return account.filter(known -> isTheirs).map(Account::signedIn);
    }

    private static String asKept(String signInName) {
        return signInName.strip().toLowerCase(Locale.ROOT);
    }

    /** Opens an account for whoever chose all of it. @throws Refusal if the name is taken or no name, or the password will not do */
    @Transactional
    public SignedIn openOwn(String signInName, String displayName, String password) {
        String name = asKept(signInName);
        if (!NAME.matcher(name).matches()) {
            throw new Refusal("A name to sign in with has 2 to 60 letters, digits, dots, dashes or underscores.");
        }
        String shown = shown(displayName);
        String chosen = NewPassword.of(password, name);
        if (accounts.findBySignInName(name).isPresent()) {
            throw new Refusal("Somebody signs in with this name already. Choose another.");
        }
        return find(open(name, shown, chosen)).orElseThrow();
    }

    private static String shown(String displayName) {
        String shown = displayName.strip();
        if (shown.isEmpty() || shown.length() > LONGEST_SHOWN) {
            throw new Refusal("The name that others see has up to " + LONGEST_SHOWN + " characters.");
        }
        return shown;
    }

    @Transactional
    public UUID open(String signInName, String displayName, String password) {
        Account account =
                new Account(UUID.randomUUID(), asKept(signInName), displayName.strip(), passwords.encode(password));
        return accounts.save(account).id();
    }

    @Transactional(readOnly = true)
    public Optional<SignedIn> find(UUID account) {
        return accounts.findById(account).map(Account::signedIn);
    }

    /** Somebody who can be written to. */
    record Reachable(SignedIn person, String address) {}

    /** By name or mail address. */
    @Transactional(readOnly = true)
    Optional<Reachable> reachable(String nameOrAddress) {
        return accounts.findBySignInName(asKept(nameOrAddress))
                .or(() -> accounts.findByEmail(asKept(nameOrAddress)))
                .filter(account -> account.email() != null)
                .map(account -> new Reachable(account.signedIn(), account.email()));
    }

    /** Where somebody can be written to; empty if that is not known. */
    @Transactional(readOnly = true)
    public String addressOf(UUID account) {
        return accounts.findById(account).map(Account::email).orElse("");
    }

    /** Whether no account has this address. */
    @Transactional(readOnly = true)
    public boolean isFree(String address) {
        return accounts.findByEmail(asKept(address)).isEmpty();
    }

    /** @param address empty for none @throws Refusal if it is no address, or somebody else's */
    @Transactional
    public void writeTo(UUID account, String address) {
        String kept = address.isBlank() ? null : asKept(Letter.address(address));
        if (kept != null
                && accounts.findByEmail(kept)
                        .filter(other -> !other.id().equals(account))
                        .isPresent()) {
            throw new Refusal("This address belongs to another account.");
        }
        accounts.findById(account).orElseThrow().writeTo(kept);
    }

    @Transactional
    void showAs(UUID account, String displayName) {
        accounts.findById(account).orElseThrow().showAs(shown(displayName));
    }

    /** @throws Refusal if the password will not do */
    @Transactional
    void changePassword(UUID account, String password) {
        Account known = accounts.findById(account).orElseThrow();
        known.takePassword(
                passwords.encode(NewPassword.of(password, known.signedIn().signInName())));
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
