package stillpond.app.sheet;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.util.unit.DataSize;
import stillpond.core.format.ImageLimits;

@Configuration
@EnableConfigurationProperties(LimitsConfiguration.Settings.class)
class LimitsConfiguration {

    /** @see ImageLimits */
    @ConfigurationProperties("pond.limits")
    record Settings(
            @DefaultValue("200MB") DataSize maxFile,
            @DefaultValue("300000000") long maxPixels,
            @DefaultValue("32000") int maxSidePx,
            @DefaultValue("3000") int vectorLongSidePx) {}

    @Bean
    ImageLimits imageLimits(Settings settings) {
        return new ImageLimits(
                settings.maxFile().toBytes(), settings.maxPixels(), settings.maxSidePx(), settings.vectorLongSidePx());
    }
}
