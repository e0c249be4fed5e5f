package stillpond.app.mail;

import java.time.Clock;
import java.util.Properties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import stillpond.app.settings.PondSettings;

@Configuration
class LettersConfiguration {

    private static final String PATIENCE_MS = "8000";

    @Bean
    Letters letters(PondSettings settings, JdbcClient database, Clock clock) {
        return letters(settings.mail(), database, clock);
    }

    static Letters letters(PondSettings.Mail mail, JdbcClient database, Clock clock) {
        if (!mail.host().isBlank()) {
            return new SmtpLetters(server(mail), mail.from());
        }
        return mail.standIn() ? new KeptLetters(database, clock) : new NoLetters();
    }

    private static JavaMailSenderImpl server(PondSettings.Mail mail) {
        JavaMailSenderImpl server = new JavaMailSenderImpl();
        server.setHost(mail.host());
        server.setPort(mail.port());
        server.setDefaultEncoding("UTF-8");
        Properties properties = server.getJavaMailProperties();
        properties.setProperty("mail.smtp.connectiontimeout", PATIENCE_MS);
        properties.setProperty("mail.smtp.timeout", PATIENCE_MS);
        properties.setProperty("mail.smtp.writetimeout", PATIENCE_MS);
        properties.setProperty("mail.smtp.starttls.enable", "true");
        properties.setProperty("mail.smtp.starttls.required", String.valueOf(mail.tls()));
        if (!mail.user().isBlank()) {
            server.setUsername(mail.user());
            server.setPassword(mail.password());
            properties.setProperty("mail.smtp.auth", "true");
        }
        return server;
    }
}
