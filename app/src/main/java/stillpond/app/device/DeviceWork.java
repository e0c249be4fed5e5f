package stillpond.app.device;

import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import stillpond.app.background.BackgroundTask;
import stillpond.app.export.PageMemory;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Sends what waits to its device, once, and keeps what came of it. */
@Component
class DeviceWork implements BackgroundTask {

    static final String NAME = "send to a device";

    private static final Logger LOG = LoggerFactory.getLogger(DeviceWork.class);

    private static final int PRESS_BYTES_PER_PIXEL = 44;
    private static final int CUTTER_BYTES_PER_PIXEL = 28;

    private final DeviceJobs jobs;
    private final Sheets sheets;
    private final PressWork press;
    private final CutterWork cutter;
    private final PageMemory memory;

    DeviceWork(DeviceJobs jobs, Sheets sheets, PressWork press, CutterWork cutter, PageMemory memory) {
        this.jobs = jobs;
        this.sheets = sheets;
        this.press = press;
        this.cutter = cutter;
        this.memory = memory;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public List<UUID> unfinished() {
        return jobs.unfinished();
    }

    @Override
    public void run(UUID id, Node node) {
        node.requireGoingOn();
        Optional<DeviceJob> taken = jobs.begin(id);
        if (taken.isEmpty()) {
            return;
        }
        DeviceJob job = taken.get();
        try {
            Sheet sheet = sheets.get(job.projectId(), job.sheetId());
            Came came = send(sheet, job);
            node.requireGoingOn();
            jobs.end(id, came);
        } catch (Refusal refusal) {
            jobs.end(id, refused(refusal.getMessage()));
        } catch (NoSuchElementException gone) {
            jobs.end(id, refused("The sheet is not there any more."));
        } catch (OutOfMemoryError large) {
            jobs.end(id, refused("It needs more memory than there is here."));
        } catch (CancellationException stopping) {
            throw stopping;
        } catch (RuntimeException fault) {
            LOG.error("Job {} could not be sent to the {}", id, job.device().words(), fault);
            jobs.end(id, refused("Something went wrong here; it is noted in the log."));
        }
    }

    private static Came refused(String why) {
        return new Came(false, why, Map.of());
    }

    private Came send(Sheet sheet, DeviceJob job) {
        boolean isPress = job.device() == DeviceJob.Device.PRESS;
        return isPress
                ? memory.during(sheet, "plates", PRESS_BYTES_PER_PIXEL, () -> press.print(sheet, job))
                : memory.during(sheet, "cuts", CUTTER_BYTES_PER_PIXEL, () -> cutter.cut(sheet, job));
    }
}
