package stillpond.app.settings;

import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import stillpond.core.format.ImageLimits;

@Configuration
@EnableConfigurationProperties(PondSettings.class)
class SettingsConfiguration {

    @Bean
    ImageLimits imageLimits(PondSettings settings) {
        return settings.limits().ofImages();
    }
}
