package stillpond.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The web application; see {@code docs/architecture.md}. */
@EnableScheduling
@SpringBootApplication
public class StillPondApplication {

    public static void main(String[] args) {
        SpringApplication.run(StillPondApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
