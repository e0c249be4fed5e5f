package stillpond.app.export;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import stillpond.app.background.BackgroundTask;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Writes what is handed on together, one file after the other. */
@Component
class FileWriting implements BackgroundTask {

    static final String NAME = "hand on";

    private static final Logger LOG = LoggerFactory.getLogger(FileWriting.class);
    private static final String UNFORESEEN = "something went wrong here; it is noted in the log";
    private static final int MOST_BYTES = 400 << 20;

    private final HandingOn handingOn;
    private final Sheets sheets;
    private final SheetForms forms;
    private final PageMemory memory;

    FileWriting(HandingOn handingOn, Sheets sheets, SheetForms forms, PageMemory memory) {
        this.handingOn = handingOn;
        this.sheets = sheets;
        this.forms = forms;
        this.memory = memory;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public List<UUID> unfinished() {
        return handingOn.unfinished();
    }

    @Override
    public void run(UUID job, Node node) {
        for (Optional<HandingOn.Task> next = handingOn.next(job); next.isPresent(); next = handingOn.next(job)) {
            node.requireGoingOn();
            write(next.get());
        }
    }

    private void write(HandingOn.Task file) {
        try {
            Sheet sheet = sheets.get(file.project(), file.sheet());
            Bounded out = new Bounded();
            memory.during(sheet, file.form(), () -> {
                forms.write(sheet, file.form(), file.choices(), out);
                return out;
            });
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
