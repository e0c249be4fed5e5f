package stillpond.app.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.stereotype.Component;

/**
 * Lets whoever guesses passwords wait. After some failures of one name from one address each further one doubles the wait; many failures
 * from one address, of whatever names, let the address wait. Nobody is locked out by what others try from elsewhere.
 */
@Component
public class SignInThrottle {

    static final int FREE_TRIES = 5;
    static final int FREE_TRIES_OF_ADDRESS = 50;
    static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    /** As long as nothing more fails, failures are forgotten after this. */
    private static final Duration REMEMBERED = Duration.ofHours(1);

    private static final int MOST_REMEMBERED = 100_000;

    private final Clock clock;
    private final Cache<String, Failures> failures;

    SignInThrottle(Clock clock) {
        this.clock = clock;
        this.failures = Caffeine.newBuilder()
                .maximumSize(MOST_REMEMBERED)
                .expireAfterWrite(REMEMBERED)
                .ticker(() -> Duration.between(Instant.EPOCH, clock.instant()).toNanos())
                .build();
    }

    private record Failures(int count, Instant last) {

        Duration waitAt(Instant now, int free) {
            if (count < free) {
                return Duration.ZERO;
            }
            Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(count - free, 20));
            Duration held = wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT;
            Duration left = Duration.between(now, last.plus(held));
            return left.isNegative() ? Duration.ZERO : left;
        }
    }

    /** How long somebody has yet to wait before the next try; zero if they need not. */
    public Duration wait(String name, String address) {
        Duration ofName = waitOf(key(name, address), FREE_TRIES);
        Duration ofAddress = waitOf(address, FREE_TRIES_OF_ADDRESS);
        return ofName.compareTo(ofAddress) > 0 ? ofName : ofAddress;
    }

    private Duration waitOf(String key, int free) {
        Failures known = failures.getIfPresent(key);
        return known == null ? Duration.ZERO : known.waitAt(clock.instant(), free);
    }

    void failed(String name, String address) {
        count(key(name, address));
        count(address);
    }

    private void count(String key) {
        failures.asMap()
                .merge(
                        key,
                        new Failures(1, clock.instant()),
                        (known, one) -> new Failures(known.count() + 1, one.last()));
    }

    void succeeded(String name, String address) {
        failures.invalidate(key(name, address));
    }

    private static String key(String name, String address) {
        String kept = name.strip().toLowerCase(Locale.ROOT);
        return address + " " + kept.substring(0, Math.min(kept.length(), 200));
    }
}
