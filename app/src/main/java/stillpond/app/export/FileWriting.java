package stillpond.app.export;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jakarta.annotation.PreDestroy;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Writes what is handed on together, one file after the other, on whichever node is free; after a restart it goes on where it was. */
@Component
class BackgroundWork {

    private static final Logger LOG = LoggerFactory.getLogger(BackgroundWork.class);
    private static final String UNFORESEEN = "something went wrong here; it is noted in the log";
    private static final Duration RETRY = Duration.ofSeconds(5);
    private static final int MOST_BYTES = 400 << 20;

    private final HandingOn handingOn;
    private final Sheets sheets;
    private final SheetForms forms;
    private final OneTimeTask<Void> task = Tasks.oneTime("hand on", Void.class)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(RETRY))
            .execute((instance, context) -> run(UUID.fromString(instance.getId())));
    private final Scheduler scheduler;
    private volatile boolean isStopping;

    BackgroundWork(DataSource database, HandingOn handingOn, Sheets sheets, SheetForms forms) {
        this.handingOn = handingOn;
        this.sheets = sheets;
        this.forms = forms;
        this.scheduler = Scheduler.create(database, task)
                .threads(1)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(Duration.ofSeconds(5))
                .shutdownMaxWait(Duration.ofSeconds(5))
                .enableImmediateExecution()
                .build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
        handingOn.unfinished().forEach(this::begin);
    }

    @PreDestroy
    void stop() {
        isStopping = true;
        scheduler.stop();
    }

    /** A job that is under way already is not begun again. */
    void begin(UUID job) {
        scheduler.scheduleIfNotExists(task.instance(job.toString()), Instant.now());
    }

    private void run(UUID job) {
        for (Optional<HandingOn.Task> next = handingOn.next(job); next.isPresent(); next = handingOn.next(job)) {
            if (isStopping) {
                throw new CancellationException("This node stops; another goes on");
            }
            write(next.get());
        }
    }

    private void write(HandingOn.Task file) {
        try {
            Sheet sheet = sheets.get(file.project(), file.sheet());
            Bounded out = new Bounded();
            forms.write(sheet, file.form(), out);
            handingOn.written(file, sheet, out.toByteArray());
        } catch (Refusal refusal) {
            handingOn.failed(file, refusal.getMessage());
        } catch (NoSuchElementException gone) {
            handingOn.failed(file, "the sheet is not there any more");
        } catch (OutOfMemoryError large) {
            handingOn.failed(file, "it needs more memory than there is here; hand it on by itself, or make it smaller");
        } catch (IOException | RuntimeException fault) {
            LOG.error("{} of sheet {} could not be handed on", file.form(), file.sheet(), fault);
            handingOn.failed(file, UNFORESEEN);
        }
    }

    /** Not more than is kept of one file. */
    private static final class Bounded extends ByteArrayOutputStream {
        @Override
        public synchronized void write(byte[] some, int from, int length) {
            if (count + (long) length > MOST_BYTES) {
                throw new Refusal("it comes to more than 400 MB; hand it on by itself");
            }
            super.write(some, from, length);
        }
    }
}
