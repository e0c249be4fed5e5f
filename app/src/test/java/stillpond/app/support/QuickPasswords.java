package stillpond.app.support;

import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Passwords kept as the application keeps them, with the least work: nearly every test opens accounts and signs in. */
@Configuration
class QuickPasswords {

    private static final int LEAST_STRENGTH = 4;

    @Bean
    @Primary
    PasswordEncoder quickPasswordEncoder() {
        return new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(LEAST_STRENGTH)));
    }
}
