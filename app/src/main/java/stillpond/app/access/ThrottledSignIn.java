package stillpond.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Objects;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import stillpond.app.account.SignInThrottle;

/** Answers a sign-in that comes too early with 429 and the sign-in page, without looking at the password. */
class ThrottledSignIn extends OncePerRequestFilter {

    private final SignInThrottle throttle;

    ThrottledSignIn(SignInThrottle throttle) {
        this.throttle = throttle;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean isTry =
                request.getMethod().equals("POST") && request.getServletPath().equals("/sign-in");
        Duration wait = isTry
                ? throttle.wait(Objects.toString(request.getParameter("username"), ""), request.getRemoteAddr())
                : Duration.ZERO;
        if (wait.isZero()) {
            chain.doFilter(request, response);
            return;
        }
        long seconds = wait.toSeconds() + 1;
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(seconds));
        request.getRequestDispatcher("/sign-in?wait=" + seconds).forward(asGet(request), response);
    }

    private static HttpServletRequest asGet(HttpServletRequest request) {
        return new HttpServletRequestWrapper(request) {
            @Override
            public String getMethod() {
                return "GET";
            }
        };
    }
}
