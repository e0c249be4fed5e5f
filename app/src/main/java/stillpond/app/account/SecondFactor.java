package stillpond.app.account;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.refusal.Refusal;

/** A second factor beside the password: one-time passwords of a device, and codes for whoever has lost it. */
@Service
@Transactional
public class SecondFactor {

    private static final int CODES = 8;
    private static final int CODE_LENGTH = 10;
    /** Without what is taken for something else. */
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final SecureRandom RANDOM = new SecureRandom();

    private final JdbcClient database;
    private final Audit audit;
    private final Clock clock;

    SecondFactor(JdbcClient database, Audit audit, Clock clock) {
        this.database = database;
        this.audit = audit;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public boolean isOn(UUID account) {
        return database.sql("select totp_secret is not null from account where id = ?")
                .param(account)
                .query(Boolean.class)
                .optional()
                .orElse(false);
    }

    @Transactional(readOnly = true)
    public long codesLeft(UUID account) {
        return database.sql("select count(*) from recovery_code where account_id = ?")
                .param(account)
                .query(Long.class)
                .single();
    }

    /**
     * Asks for it from now on.
     *
     * @param typed what the device shows, to prove that it has the secret
     * @return codes for whoever has lost the device, which are not kept
     * @throws Refusal if the device shows something else
     */
    List<String> switchOn(UUID account, TotpSecret secret, String typed) {
        OptionalLong step = secret.stepOf(typed, clock.instant(), 0);
        if (step.isEmpty()) {
            throw new Refusal("The device shows something else just now. Is its clock right? Nothing was changed.");
        }
        database.sql("update account set totp_secret = ?, totp_step = ? where id = ?")
                .params(secret.text(), step.getAsLong(), account)
                .update();
        audit.note(account, null, Audit.Kind.ACCOUNT, "Switched the second factor on");
        return newCodes(account);
    }

    void switchOff(UUID account) {
        database.sql("update account set totp_secret = null, totp_step = 0 where id = ?")
                .param(account)
                .update();
        database.sql("delete from recovery_code where account_id = ?")
                .param(account)
                .update();
        audit.note(account, null, Audit.Kind.ACCOUNT, "Switched the second factor off");
    }

    /** Whether this is what the device shows, or one of the codes that are left; neither is taken twice. */
    public boolean take(UUID account, String typed) {
        return takeOfDevice(account, typed) || takeCode(account, typed);
    }

    private boolean takeOfDevice(UUID account, String typed) {
        record Kept(String secret, long step) {}
        Kept kept = database.sql("select totp_secret as secret, totp_step as step from account where id = ? for update")
                .param(account)
                .query(Kept.class)
                .single();
        OptionalLong step = kept.secret() == null
                ? OptionalLong.empty()
                : new TotpSecret(kept.secret()).stepOf(typed, clock.instant(), kept.step());
        step.ifPresent(used -> database.sql("update account set totp_step = ? where id = ?")
                .params(used, account)
                .update());
        return step.isPresent();
    }

    private boolean takeCode(UUID account, String typed) {
        String code = typed.strip().toLowerCase(Locale.ROOT);
        return database.sql("delete from recovery_code where account_id = ? and code_hash = ?")
                        .params(account, hash(account, code))
                        .update()
                == 1;
    }

    private List<String> newCodes(UUID account) {
        database.sql("delete from recovery_code where account_id = ?")
                .param(account)
                .update();
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < CODES; i++) {
            StringBuilder code = new StringBuilder();
            RANDOM.ints(CODE_LENGTH, 0, LETTERS.length()).forEach(letter -> code.append(LETTERS.charAt(letter)));
            database.sql("insert into recovery_code (account_id, code_hash) values (?, ?)")
                    .params(account, hash(account, code.toString()))
                    .update();
            codes.add(code.toString());
        }
        return codes;
    }

    private static String hash(UUID account, String code) {
        return new OneTimeCode(account + code).hash();
    }
}
