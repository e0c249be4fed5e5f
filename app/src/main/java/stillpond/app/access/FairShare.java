package stillpond.app.access;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Objects;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import stillpond.app.account.SignedIn;

/**
 * Lets nobody have more than a share of the server. One person has so many requests answered at once, and fewer of those that take the cores
 * for a while; some more wait for their turn, and what comes on top of that is told to come again (429). Persons, not sessions, share.
 */
class FairShare extends OncePerRequestFilter {

    /** What a browser asks for at once. */
    static final int AT_ONCE = 6;

    /** Each takes a core or more for a while, or reads whole sheets; the others shall find one. */
    static final int COSTLY_AT_ONCE = Math.max(1, Runtime.getRuntime().availableProcessors() / 2);

    /** Of those who are not signed in, of whom many may come from one address. */
    private static final int STRANGERS_AT_ONCE = 48;

    static final int MOST_WAITING = 24;
    private static final Duration PATIENCE = Duration.ofSeconds(15);
    private static final Pattern COSTLY =
            Pattern.compile(".*/(ink|carry|carry/sure|check|compare|export/[^/]+|shelf/project-file|picture\\.png)$");
    private static final String LIVE = "/live";

    /** A problem detail (RFC 9457). */
    private static final String TOO_MUCH = """
            {"status":429,"detail":"You ask for more than is answered at once; nothing was changed. Ask again in a moment."}""";

    private final Cache<String, Share> shares = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterAccess(Duration.ofHours(1))
            .build();

    private record Share(Semaphore all, Semaphore costly) {
        Share(int atOnce) {
            this(new Semaphore(atOnce, true), new Semaphore(COSTLY_AT_ONCE, true));
        }
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        // A line on which nothing is said takes nothing; how many there are is bounded elsewhere.
        return request.getServletPath().endsWith(LIVE)
                || request.getServletPath().startsWith("/assets/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Share share = shareOf(request);
        Semaphore turn = isCostly(request) ? share.costly() : share.all();
        if (turn.getQueueLength() >= MOST_WAITING || !isTaken(turn)) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            response.setHeader(HttpHeaders.RETRY_AFTER, "5");
            response.setContentType("application/problem+json;charset=UTF-8");
            response.getWriter().write(TOO_MUCH);
            return;
        }
        boolean goesOn = false;
        try {
            chain.doFilter(request, response);
            goesOn = request.isAsyncStarted();
            if (goesOn) {
                request.getAsyncContext().addListener(new WhenDone(turn));
            }
        } finally {
            if (!goesOn) {
                turn.release();
            }
        }
    }

    private static boolean isTaken(Semaphore turn) {
        try {
            return turn.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static boolean isCostly(HttpServletRequest request) {
        boolean isUpload = Objects.toString(request.getContentType(), "").startsWith("multipart/");
        return isUpload || COSTLY.matcher(request.getServletPath()).matches();
    }

    private Share shareOf(HttpServletRequest request) {
        Authentication present = SecurityContextHolder.getContext().getAuthentication();
        return present != null && present.getPrincipal() instanceof SignedIn person
                ? shares.get(person.id().toString(), any -> new Share(AT_ONCE))
                : shares.get(request.getRemoteAddr(), any -> new Share(STRANGERS_AT_ONCE));
    }

    private record WhenDone(Semaphore turn) implements AsyncListener {

        @Override
        public void onComplete(AsyncEvent event) {
            turn.release();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            // It is completed then.
        }

        @Override
        public void onError(AsyncEvent event) {
            // The same.
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            event.getAsyncContext().addListener(this);
        }
    }
}
