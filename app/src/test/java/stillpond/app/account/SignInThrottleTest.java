package stillpond.app.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class SignInThrottleTest {

    private static final String HERE = "192.0.2.1";
    private static final String ELSEWHERE = "192.0.2.2";

    private final Clock clock = mock(Clock.class);
    private final SignInThrottle throttle = new SignInThrottle(clock);
    private Instant now = Instant.parse("2026-01-31T12:00:00Z");

    @BeforeEach
    void setTheClock() {
        pass(Duration.ZERO);
    }

    private void pass(Duration time) {
        now = now.plus(time);
        when(clock.instant()).thenReturn(now);
    }

    private void fail(String name, int times) {
        for (int i = 0; i < times; i++) {
            throttle.failed(name, HERE);
        }
    }

    @Test
    void someTriesAreFreeAndEachFurtherOneDoublesTheWait() {
        fail("juniper", SignInThrottle.FREE_TRIES - 1);
        assertThat(throttle.wait("juniper", HERE)).isZero();
        fail("juniper", 1);
        assertThat(throttle.wait("juniper", HERE)).isEqualTo(SignInThrottle.FIRST_WAIT);
        fail("juniper", 1);
        assertThat(throttle.wait("juniper", HERE)).isEqualTo(SignInThrottle.FIRST_WAIT.multipliedBy(2));
        pass(Duration.ofSeconds(1));
        assertThat(throttle.wait(" Juniper", HERE)).isEqualTo(Duration.ofSeconds(3));
        pass(Duration.ofSeconds(3));
        assertThat(throttle.wait("juniper", HERE)).isZero();
    }

    @Test
    void noWaitIsLongerThanTheLongest() {
        fail("juniper", 60);
        assertThat(throttle.wait("juniper", HERE)).isEqualTo(SignInThrottle.LONGEST_WAIT);
    }

    @Test
    void whoeverComesFromElsewhereDoesNotWaitForIt() {
        fail("juniper", 20);
        assertThat(throttle.wait("juniper", ELSEWHERE)).isZero();
        assertThat(throttle.wait("bram", HERE)).isZero();
    }

    @Test
    void manyNamesTriedFromOneAddressLetTheAddressWait() {
        for (int i = 0; i < SignInThrottle.FREE_TRIES_OF_ADDRESS; i++) {
            fail("guess " + i, 1);
        }
        assertThat(throttle.wait("bram", HERE)).isPositive();
        assertThat(throttle.wait("bram", ELSEWHERE)).isZero();
    }

    @Test
    void aSignInForgetsTheFailuresOfTheNameAndSoDoesTime() {
        fail("juniper", 8);
        throttle.succeeded("juniper", HERE);
        assertThat(throttle.wait("juniper", HERE)).isZero();
        fail("bram", 4);
        pass(Duration.ofHours(2));
        fail("bram", 1);
        assertThat(throttle.wait("bram", HERE)).isZero();
    }
}
