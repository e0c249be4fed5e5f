package stillpond.app.page;

import java.time.Instant;
import java.time.ZoneOffset;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;
import stillpond.core.refusal.Refusal;

/** Reads a moment of an address (ISO 8601), of the years that a database and a calendar both know. */
@Component
class Moment implements Converter<String, Instant> {

    private static final Instant FIRST = Instant.EPOCH;
    private static final Instant LAST =
            Instant.EPOCH.atOffset(ZoneOffset.UTC).withYear(9999).toInstant();

    @Override
    public Instant convert(String text) {
        if (text.isEmpty()) {
            return null;
        }
        Instant moment = Instant.parse(text);
        if (moment.isBefore(FIRST) || moment.isAfter(LAST)) {
            throw new Refusal("This moment is too far away to look at.");
        }
        return moment;
    }
}
