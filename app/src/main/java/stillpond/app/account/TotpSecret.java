package stillpond.app.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;

/**
 * What a person's device shares with us for one-time passwords by time (RFC 6238): six digits, steps of 30 seconds, HMAC-SHA-1, as every device knows it.
 *
 * @param text 160 random bits in base32 (RFC 4648)
 */
record TotpSecret(String text) {

    private static final int BYTES = 20;
    private static final int DIGITS = 6;
    private static final long STEP_SECONDS = 30;
    /** So many steps before and behind are taken, too: clocks differ, and typing takes a while. */
    private static final int AROUND = 1;

    private static final SecureRandom RANDOM = new SecureRandom();

    static TotpSecret random() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return new TotpSecret(new Base32().encodeToString(bytes));
    }

    /**
     * The step of time whose password this is, around now.
     *
     * @param lastUsed no earlier step is taken, nor this one
     */
    OptionalLong stepOf(String typed, Instant now, long lastUsed) {
        String digits = typed.replaceAll("\\s", "");
        long present = now.getEpochSecond() / STEP_SECONDS;
        for (long step = present - AROUND; step <= present + AROUND; step++) {
            if (step > lastUsed && passwordAt(step).equals(digits)) {
                return OptionalLong.of(step);
            }
        }
        return OptionalLong.empty();
    }

    String passwordAt(long step) {
        try {
            return new TimeBasedOneTimePasswordGenerator(Duration.ofSeconds(STEP_SECONDS), DIGITS)
                    .generateOneTimePasswordString(
                            new SecretKeySpec(new Base32().decode(text), "HmacSHA1"),
                            Instant.ofEpochSecond(step * STEP_SECONDS));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }

    /** As devices read it from a picture. */
    String address(String signInName) {
        String name = URLEncoder.encode("Still Pond:" + signInName, StandardCharsets.UTF_8)
                .replace("+", "%20");
        return "otpauth://totp/" + name + "?secret=" + text + "&issuer=Still%20Pond";
    }
}
