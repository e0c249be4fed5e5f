package stillpond.app.account;

import java.time.Clock;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.mail.Letter;
import stillpond.app.mail.Letters;
import stillpond.core.refusal.Refusal;

/** Passwords that were forgotten are made anew through a link that is sent to the address of the account. */
@Service
@Transactional
class PasswordResets {

    private static final Duration LIFE = Duration.ofHours(1);
    private static final int MOST_OPEN = 3;
    private static final String GONE = "This link was used already, or has ended. Ask for another one.";

    private final JdbcClient database;
    private final Accounts accounts;
    private final Letters letters;
    private final Audit audit;
    private final Clock clock;

    PasswordResets(JdbcClient database, Accounts accounts, Letters letters, Audit audit, Clock clock) {
        this.database = database;
        this.accounts = accounts;
        this.letters = letters;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Sends a link to whoever has this name or address, if there is somebody who has both; the asker is not told whether there is.
     *
     * @param site the address of this installation, without a slash at its end
     */
    void ask(String nameOrAddress, String site) {
        Optional<Accounts.Reachable> person = accounts.reachable(nameOrAddress);
        if (person.isEmpty() || open(person.get().person().id()) >= MOST_OPEN) {
            return;
        }
        SignedIn known = person.get().person();
        OneTimeCode code = OneTimeCode.random();
        database.sql("insert into password_reset (code_hash, account_id, ends_at) values (?, ?, ?)")
                .params(code.hash(), known.id(), clock.instant().plus(LIFE).atOffset(ZoneOffset.UTC))
                .update();
        letters.send(new Letter(
                person.get().address(),
                "A new password for Still Pond",
                known.displayName() + ",\n\nsomebody, most likely you, asked for a new password for "
                        + known.signInName() + ". It is made here, within an hour:\n\n" + site + "/reset/"
                        + code.code()
                        + "\n\nIf it was not you, nothing needs to be done: the password stays as it is.\n"));
        audit.note(known.id(), null, Audit.Kind.PASSWORD, "Asked for a new password");
    }

    /** Tells whoever has an address that their password is another one, in case it was not they who changed it. That it cannot be sent changes nothing. */
    void tellOfChange(SignedIn person) {
        String address = accounts.addressOf(person.id());
        if (address.isEmpty() || !letters.areSent()) {
            return;
        }
        try {
            letters.send(new Letter(
                    address,
                    "Your password for Still Pond was changed",
                    person.displayName() + ",\n\nthe password of " + person.signInName()
                            + " is another one now.\n\nIf it was not you who changed it, ask for a new one on the page where"
                            + " you sign in.\n"));
        } catch (Refusal unsent) {
            audit.note(person.id(), null, Audit.Kind.PASSWORD, "No letter could be sent about the new password");
        }
    }

    private long open(UUID account) {
        return database.sql(
                        "select count(*) from password_reset where account_id = ? and used_at is null and ends_at > ?")
                .params(account, clock.instant().atOffset(ZoneOffset.UTC))
                .query(Long.class)
                .single();
    }

    /** Whose password a link makes anew. @throws Refusal if it leads nowhere any more */
    @Transactional(readOnly = true)
    public SignedIn look(String code) {
        return database.sql(
                        "select account_id from password_reset where code_hash = ? and used_at is null and ends_at > ?")
                .params(new OneTimeCode(code).hash(), clock.instant().atOffset(ZoneOffset.UTC))
                .query(UUID.class)
                .optional()
                .flatMap(accounts::find)
                .orElseThrow(() -> new Refusal(GONE));
    }

    /** Uses a link. @throws Refusal if it leads nowhere any more, or the password will not do: then it can be used once more */
    SignedIn take(String code, String password) {
        SignedIn person = look(code);
        accounts.changePassword(person.id(), password);
        int used = database.sql("update password_reset set used_at = ? where code_hash = ? and used_at is null")
                .params(clock.instant().atOffset(ZoneOffset.UTC), new OneTimeCode(code).hash())
                .update();
        if (used == 0) {
            throw new Refusal(GONE);
        }
        database.sql("delete from password_reset where account_id = ? and used_at is null")
                .param(person.id())
                .update();
        audit.note(person.id(), null, Audit.Kind.PASSWORD, "Made a new password through a link");
        tellOfChange(person);
        return person;
    }
}
