package stillpond.app.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/**
 * What a link holds that lets somebody in once: 256 random bits. Only its SHA-256 is stored, so whoever reads the store cannot use it.
 *
 * @param code 43 characters of the alphabet of base64url (RFC 4648)
 */
public record OneTimeCode(String code) {

    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    public static OneTimeCode random() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return new OneTimeCode(Base64.getUrlEncoder().withoutPadding().encodeToString(bytes));
    }

    /** As it is stored. */
    public String hash() {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(code.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public String toString() {
        return "one-time code";
    }
}
