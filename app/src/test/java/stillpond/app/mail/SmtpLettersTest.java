package stillpond.app.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.internet.MimeMessage;
import org.junit.jupiter.api.Test;
import stillpond.app.settings.PondSettings;
import stillpond.core.refusal.Refusal;

/** Over real SMTP, to a server that keeps what it is sent. */
class SmtpLettersTest {

    private static final Letter LETTER = new Letter("ida@example.org", "Teal lädt ein", "/join/abc\n");

    private static Letters lettersTo(int port) {
        PondSettings.Mail mail = new PondSettings.Mail("127.0.0.1", port, "", "", "pond@example.org", false, false);
        return LettersConfiguration.letters(mail, null, null);
    }

    @Test
    void aLetterArrivesAsItWasWritten() throws Exception {
        GreenMail server = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        server.start();
        try {
            lettersTo(server.getSmtp().getPort()).send(LETTER);
            MimeMessage arrived = server.getReceivedMessages()[0];
            assertThat(arrived.getAllRecipients()[0]).hasToString("ida@example.org");
            assertThat(arrived.getFrom()[0]).hasToString("pond@example.org");
            assertThat(arrived.getSubject()).isEqualTo("Teal lädt ein");
            assertThat(GreenMailUtil.getBody(arrived)).contains("/join/abc");
        } finally {
            server.stop();
        }
    }

    @Test
    void whatNoServerTakesIsSaidSo() {
        GreenMail gone = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        gone.start();
        int port = gone.getSmtp().getPort();
        gone.stop();
        assertThatThrownBy(() -> lettersTo(port).send(LETTER))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("did not take the letter");
    }

    @Test
    void whereNothingIsSetNothingIsSent() {
        PondSettings.Mail none = new PondSettings.Mail("", 587, "", "", "pond@example.org", true, false);
        Letters letters = LettersConfiguration.letters(none, null, null);
        assertThat(letters.areSent()).isFalse();
        assertThatThrownBy(() -> letters.send(LETTER)).isInstanceOf(Refusal.class);
    }

    @Test
    void anAddressCannotCarryAnotherHeader() {
        for (String typed : new String[] {"", "ida", "@b", "a@", "a@b\nBcc: c@d", "a@b, c@d", "<a@b>"}) {
            assertThatThrownBy(() -> Letter.address(typed)).as(typed).isInstanceOf(Refusal.class);
        }
        assertThat(Letter.address(" ida@example.org ")).isEqualTo("ida@example.org");
    }
}
