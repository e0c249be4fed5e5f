package stillpond.app.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Objects;
import java.util.UUID;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Gives each request a number: it stands in each line of the log that belongs to it, in the answer, and on pages that say that something went wrong. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestIds extends OncePerRequestFilter {

    private static final String REQUEST = "request";
    private static final String KEPT = RequestIds.class.getName();
    private static final int DIGITS = 8;

    /** The number of a request; empty if it has none. */
    static String of(HttpServletRequest request) {
        return Objects.toString(request.getAttribute(KEPT), "");
    }

    /** What goes wrong while a page is written is told by another pass through the server: it is the same request. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (of(request).isEmpty()) {
            request.setAttribute(KEPT, UUID.randomUUID().toString().substring(0, DIGITS));
        }
        MDC.put(REQUEST, of(request));
        response.setHeader("X-Request-Id", of(request));
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(REQUEST);
        }
    }
}
