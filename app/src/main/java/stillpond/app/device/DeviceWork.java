package stillpond.app.device;

import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import stillpond.app.background.BackgroundTask;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Sends what waits to its device, once, and keeps what came of it. */
@Component
class DeviceWork implements BackgroundTask {

    static final String NAME = "send to a device";

    private static final Logger LOG = LoggerFactory.getLogger(DeviceWork.class);

    private final DeviceJobs jobs;
    private final Sheets sheets;
    private final PressWork press;
    private final CutterWork cutter;

    DeviceWork(DeviceJobs jobs, Sheets sheets, PressWork press, CutterWork cutter) {
        this.jobs = jobs;
        this.sheets = sheets;
        this.press = press;
        this.cutter = cutter;
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
            Came came = job.device() == DeviceJob.Device.PRESS ? press.print(sheet, job) : cutter.cut(sheet, job);
            node.requireGoingOn();
            jobs.complete(id, came.words(), came.files());
        } catch (Refusal refusal) {
            jobs.refuse(id, refusal.getMessage());
        } catch (NoSuchElementException gone) {
            jobs.refuse(id, "The sheet is not there any more.");
        } catch (OutOfMemoryError large) {
            jobs.refuse(id, "It needs more memory than there is here.");
        } catch (CancellationException stopping) {
            throw stopping;
        } catch (RuntimeException fault) {
            LOG.error("Job {} could not be sent to the {}", id, job.device().words(), fault);
            jobs.refuse(id, "Something went wrong here; it is noted in the log.");
        }
    }
}
