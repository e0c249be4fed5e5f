package stillpond.app.live;

import java.util.Optional;
import java.util.UUID;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Which open page a request comes from: it says so itself, in a header. */
final class FromPage {

    private static final String HEADER = "X-Pond-Page";

    private FromPage() {}

    /** Empty if it does not say so, or no page has asked. */
    static Optional<UUID> id() {
        String said = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? request.getRequest().getHeader(HEADER)
                : null;
        try {
            return Optional.ofNullable(said).map(UUID::fromString);
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
