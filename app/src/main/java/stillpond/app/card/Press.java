package stillpond.app.card;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;

/** The print condition that colours are judged by: an ICC profile of this machine. */
@Component
class Press {

    private static final Logger LOG = LoggerFactory.getLogger(Press.class);

    private final Optional<PrintCondition> condition;

    Press(@Value("${pond.print.profile}") Path profile) {
        this.condition = read(profile);
    }

    private static Optional<PrintCondition> read(Path profile) {
        try {
            return Optional.of(PrintCondition.of(Files.readAllBytes(profile)));
        } catch (IOException | IllegalArgumentException e) {
            LOG.warn("No print condition: {} could not be used ({})", profile, e.getMessage());
            return Optional.empty();
        }
    }

    /** Empty if no print condition is installed. */
    Optional<Srgb> printable(Srgb colour) {
        return condition.map(press -> press.printable(colour));
    }

    /** True as well if no print condition is installed. */
    boolean isPrintable(Srgb colour) {
        return condition.map(press -> press.isPrintable(colour)).orElse(true);
    }
}
