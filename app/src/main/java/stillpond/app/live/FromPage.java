package stillpond.app.live;

import java.util.UUID;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Which open page a request comes from: it says so itself, in a header. */
final class FromPage {

    private static final String HEADER = "X-Pond-Page";
    private static final String NO_PAGE = "-";

    private FromPage() {}

    /** An id, or a dash. */
    static String id() {
        String said = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? request.getRequest().getHeader(HEADER)
                : null;
        try {
            return said == null ? NO_PAGE : UUID.fromString(said).toString();
        } catch (IllegalArgumentException none) {
            return NO_PAGE;
        }
    }
}
