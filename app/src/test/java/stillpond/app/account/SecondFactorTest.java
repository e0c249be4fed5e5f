package stillpond.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;

class SecondFactorTest {

    private static final Pattern SECRET = Pattern.compile("<code>([A-Z2-7]{32})</code>");
    private static final Pattern CODE = Pattern.compile("<li>([a-z2-9]{10})</li>");
    private static final long STEP_SECONDS = 30;

    private final TestPond pond = TestPond.shared();
    private String name;
    private Visitor person;

    @BeforeEach
    void begin() {
        name = "f" + UUID.randomUUID();
        pond.openAccount(name);
        person = Visitor.signedIn(pond, name);
    }

    /** RFC 6238, appendix B, the last six of its eight digits. */
    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130"
    })
    void passwordsAreThoseOfTheStandard(long seconds, String password) {
        TotpSecret secret =
                new TotpSecret(new Base32().encodeToString("12345678901234567890".getBytes(StandardCharsets.US_ASCII)));
        Instant now = Instant.ofEpochSecond(seconds);
        assertThat(secret.stepOf(password, now, 0)).hasValue(seconds / STEP_SECONDS);
        assertThat(secret.stepOf(password, now, seconds / STEP_SECONDS))
                .as("used already")
                .isEmpty();
        assertThat(secret.stepOf(password, now.plusSeconds(2 * STEP_SECONDS), 0))
                .as("too late")
                .isEmpty();
    }

    private static List<String> found(Pattern pattern, String text) {
        return pattern.matcher(text).results().map(match -> match.group(1)).toList();
    }

    private static String shownNow(TotpSecret secret, int stepsAhead) {
        return secret.passwordAt(Instant.now().getEpochSecond() / STEP_SECONDS + stepsAhead);
    }

    /** Switches it on; returns the page with the codes. */
    private String switchOn(TotpSecret[] kept) {
        person.submit("/account/second/begin", "password", TestPond.PASSWORD);
        kept[0] = new TotpSecret(found(SECRET, person.get("/account").body()).get(0));
        person.submit("/account/second/on", "code", shownNow(kept[0], 0));
        return person.get("/account").body();
    }

    private Visitor withPassword() {
        Visitor visitor = Visitor.anonymous(pond);
        visitor.readToken("/sign-in");
        HttpResponse<String> answer = visitor.submit("/sign-in", "username", name, "password", TestPond.PASSWORD);
        assertThat(answer.headers().firstValue("Location").orElse("")).endsWith("/sign-in/second");
        return visitor;
    }

    private static boolean isIn(Visitor visitor) {
        return visitor.get("/account").statusCode() == 200;
    }

    @Test
    void thePasswordAloneLetsNobodyInAnyMore() {
        TotpSecret[] secret = new TotpSecret[1];
        assertThat(switchOn(secret)).contains("asked for from now on");
        Visitor visitor = withPassword();
        assertThat(isIn(visitor)).isFalse();
        visitor.readToken("/sign-in/second");
        assertThat(visitor.submit("/sign-in/second", "code", "000000").body()).contains("not what the device shows");
        assertThat(isIn(visitor)).isFalse();
        visitor.submit("/sign-in/second", "code", shownNow(secret[0], 1));
        assertThat(isIn(visitor)).isTrue();
    }

    @Test
    void aCodeForALostDeviceIsGoodOnce() {
        List<String> codes = found(CODE, switchOn(new TotpSecret[1]));
        assertThat(codes).hasSize(8).doesNotHaveDuplicates();
        Visitor visitor = withPassword();
        visitor.readToken("/sign-in/second");
        visitor.submit("/sign-in/second", "code", codes.get(0));
        assertThat(isIn(visitor)).isTrue();
        Visitor again = withPassword();
        again.readToken("/sign-in/second");
        again.submit("/sign-in/second", "code", codes.get(0));
        assertThat(isIn(again)).isFalse();
    }

    @Test
    void aDeviceThatShowsSomethingElseSwitchesNothingOn() {
        person.submit("/account/second/begin", "password", "not the password");
        assertThat(person.get("/account").body()).contains("not your present password");
        person.submit("/account/second/begin", "password", TestPond.PASSWORD);
        assertThat(person.get("/account").body()).contains("Take this picture");
        person.submit("/account/second/on", "code", "12345");
        assertThat(person.get("/account").body()).contains("shows something else");
        assertThat(isIn(Visitor.signedIn(pond, name))).isTrue();
    }

    @Test
    void withoutThePasswordNobodyIsAskedForADevice() {
        Visitor stranger = Visitor.anonymous(pond);
        assertThat(stranger.get("/sign-in/second")
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/sign-in");
    }
}
