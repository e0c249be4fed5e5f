package stillpond.app.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.TimeZone;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Times on pages, on a machine that is half a day ahead. */
class TimesTest {

    private final TimeZone zone = TimeZone.getDefault();
    private final Times times = new Times();

    @BeforeEach
    void goEast() {
        TimeZone.setDefault(TimeZone.getTimeZone("Pacific/Auckland"));
    }

    @AfterEach
    void comeBack() {
        TimeZone.setDefault(zone);
    }

    @Test
    void allAreToldTheSameTimeAndItsZone() {
        Instant late = Instant.parse("2026-12-31T22:05:09Z");
        assertThat(times.day(late)).isEqualTo("31 Dec 2026");
        assertThat(times.minute(late)).isEqualTo("31 Dec 2026, 22:05 UTC");
        assertThat(times.second(late)).isEqualTo("31 Dec, 22:05:09 UTC");
        assertThat(times.day(LocalDate.of(2026, 5, 3))).isEqualTo("3 May 2026");
    }
}
