package stillpond.app.reading;

import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Configuration;

@Configuration
@EnableConfigurationProperties(ReadingSettings.class)
class ReadingConfiguration {}
