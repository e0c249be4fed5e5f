package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import stillpond.app.account.SignedIn;

class FairShareTest {

    private final FairShare share = new FairShare();
    private final SignedIn busy = new SignedIn(UUID.randomUUID(), "busy", "Busy");
    private final SignedIn other = new SignedIn(UUID.randomUUID(), "other", "Other");
    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final AtomicInteger atWork = new AtomicInteger();
    private final AtomicInteger mostAtWork = new AtomicInteger();
    private final CountDownLatch mayEnd = new CountDownLatch(1);

    @AfterEach
    void stop() {
        threads.shutdownNow();
    }

    private Future<Integer> ask(SignedIn person, String path, CountDownLatch began) {
        return threads.submit(() -> {
            SecurityContextHolder.getContext()
                    .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null, List.of()));
            MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
            request.setServletPath(path);
            MockHttpServletResponse response = new MockHttpServletResponse();
            FilterChain work = (asked, answered) -> {
                mostAtWork.accumulateAndGet(atWork.incrementAndGet(), Math::max);
                began.countDown();
                await(mayEnd);
                atWork.decrementAndGet();
            };
            share.doFilter(request, response, work);
            return response.getStatus();
        });
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(60, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void oneHasSoManyAtOnceSomeWaitAndTheRestIsSentAway() throws Exception {
        CountDownLatch full = new CountDownLatch(FairShare.AT_ONCE);
        List<Future<Integer>> asked = new ArrayList<>();
        for (int i = 0; i < FairShare.AT_ONCE + FairShare.MOST_WAITING + 20; i++) {
            asked.add(ask(busy, "/projects/1", full));
        }
        await(full);
        // The share of somebody else is untouched.
        CountDownLatch began = new CountDownLatch(1);
        Future<Integer> others = ask(other, "/projects/1", began);
        await(began);
        mayEnd.countDown();
        assertThat(others.get()).isEqualTo(200);
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> each : asked) {
            answers.add(each.get());
        }
        assertThat(answers).containsOnly(200, 429);
        assertThat(mostAtWork.get()).isLessThanOrEqualTo(FairShare.AT_ONCE + 1);
    }

    @Test
    void ofWhatIsCostlyOneHasFewerAndTheRestGoesOnBesideIt() throws Exception {
        CountDownLatch full = new CountDownLatch(FairShare.COSTLY_AT_ONCE);
        List<Future<Integer>> costly = new ArrayList<>();
        for (int i = 0; i < FairShare.COSTLY_AT_ONCE + 3; i++) {
            costly.add(ask(busy, "/projects/1/sheets/2/export/flats.png", full));
        }
        await(full);
        assertThat(atWork.get()).isEqualTo(FairShare.COSTLY_AT_ONCE);
        CountDownLatch began = new CountDownLatch(1);
        Future<Integer> plain = ask(busy, "/projects/1/sheets/2/desk", began);
        await(began);
        mayEnd.countDown();
        assertThat(plain.get()).isEqualTo(200);
        for (Future<Integer> each : costly) {
            assertThat(each.get()).isEqualTo(200);
        }
    }
}
