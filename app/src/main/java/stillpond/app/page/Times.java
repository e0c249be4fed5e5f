package stillpond.app.page;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** How pages say when something was. Members of a project sit in many places: all are told the same time, and of which zone it is. */
@Component("times")
public class Times {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm 'UTC'", Locale.ENGLISH);
    private static final DateTimeFormatter SECOND =
            DateTimeFormatter.ofPattern("d MMM, HH:mm:ss 'UTC'", Locale.ENGLISH);

    public String day(LocalDate day) {
        return DAY.format(day);
    }

    public String day(Instant moment) {
        return in(DAY, moment);
    }

    public String minute(Instant moment) {
        return in(MINUTE, moment);
    }

    /** For what follows one upon the other within a minute, of late. */
    public String second(Instant moment) {
        return in(SECOND, moment);
    }

    private static String in(DateTimeFormatter form, Instant moment) {
        return form.format(moment.atOffset(ZoneOffset.UTC));
    }
}
