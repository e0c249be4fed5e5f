package stillpond.app.reading;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.LongFunction;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import stillpond.app.settings.PondSettings;

/** What of the heap is for pictures. Whoever works on a large one says how much that takes and waits for it, so that all of them together never need more than there is. */
@Component
public class WorkingMemory {

    private static final double SHARE_OF_HEAP = 0.7;
    private static final int PERMIT_BYTES = 1 << 19;

    private final Duration patience;
    private final int allPermits;
    private final Semaphore permits;

    @Autowired
    WorkingMemory(PondSettings settings) {
        this(settings.reading());
    }

    /** One of its own, beside that of the server. */
    public static WorkingMemory of(PondSettings.Reading settings) {
        return new WorkingMemory(settings);
    }

    private WorkingMemory(PondSettings.Reading settings) {
        this.patience = settings.patience();
        this.allPermits = (int) Math.min(
                Integer.MAX_VALUE, (long) (SHARE_OF_HEAP * settings.heap().toBytes()) / PERMIT_BYTES);
        this.permits = new Semaphore(allPermits, true);
    }

    /** Memory that is given back when it is closed. */
    public final class Hold implements AutoCloseable {
        private final int held;

        private Hold(int held) {
            this.held = held;
        }

        @Override
        public void close() {
            permits.release(held);
        }
    }

    /**
     * Waits until there is so much memory.
     *
     * @param tooMuch what to throw if there never is, told how many bytes there are
     * @throws NotNow if others have it for too long
     */
    public Hold hold(long bytes, LongFunction<? extends RuntimeException> tooMuch) {
        long wanted = 1 + bytes / PERMIT_BYTES;
        if (wanted > allPermits) {
            throw tooMuch.apply((long) allPermits * PERMIT_BYTES);
        }
        try {
            if (!permits.tryAcquire((int) wanted, patience.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new NotNow(
                        "Other large pictures are being worked on just now. Nothing was changed; try again in a minute.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new NotNow("The server is about to stop. Nothing was changed; try again in a minute.");
        }
        return new Hold((int) wanted);
    }
}
