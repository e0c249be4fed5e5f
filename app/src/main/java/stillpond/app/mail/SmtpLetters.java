package stillpond.app.mail;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.mail.MailException;
import org.springframework.mail.MailSender;
import org.springframework.mail.SimpleMailMessage;
import stillpond.core.refusal.Refusal;

/** Letters over SMTP (RFC 5321). */
class SmtpLetters implements Letters {

    private static final Logger LOG = LoggerFactory.getLogger(SmtpLetters.class);

    private final MailSender server;
    private final String from;

    SmtpLetters(MailSender server, String from) {
        this.server = server;
        this.from = from;
    }

    @Override
    public boolean areSent() {
        return true;
    }

    @Override
    public void send(Letter letter) {
        SimpleMailMessage message = new SimpleMailMessage();
        message.setFrom(from);
        message.setTo(letter.to());
        message.setSubject(letter.subject());
        message.setText(letter.text());
        try {
            server.send(message);
        } catch (MailException e) {
            LOG.warn("A letter could not be sent", e);
            throw new Refusal(
                    "The mail server did not take the letter. Nothing was sent; try again, or hand over a link.", e);
        }
    }
}
