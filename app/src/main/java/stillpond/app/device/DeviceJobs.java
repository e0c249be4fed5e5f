package stillpond.app.device;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.core.refusal.Refusal;

/** What was sent to the press and the cutter, and how far each is. */
@Service
@Transactional
class DeviceJobs {

    /** Of a project; older ones that are over are dropped. */
    private static final int MOST_KEPT = 60;

    private static final int MOST_OPEN = 100;

    private final DeviceJobRepository jobs;
    private final DeviceFileRepository files;
    private final Accounts accounts;
    private final Clock clock;

    DeviceJobs(DeviceJobRepository jobs, DeviceFileRepository files, Accounts accounts, Clock clock) {
        this.jobs = jobs;
        this.files = files;
        this.accounts = accounts;
        this.clock = clock;
    }

    /**
     * What is asked of a device.
     *
     * @param words what it is, for people
     * @param how as JSON
     */
    record Asked(DeviceJob.Device device, UUID sheet, String words, String how, boolean isHeld) {}

    /**
     * Sends all or none.
     *
     * @return their ids
     * @throws Refusal if too many are waiting
     */
    List<UUID> send(UUID project, UUID author, List<Asked> all) {
        List<DeviceJob> present = jobs.findByProjectIdOrderByMadeAtDesc(project);
        long open = present.stream().filter(job -> !job.state().isOver()).count();
        if (open + all.size() > MOST_OPEN) {
            throw new Refusal(open + " are waiting already, and up to " + MOST_OPEN
                    + " do. Nothing was sent; take some back, or wait until they are done.");
        }
        present.stream()
                .skip(Math.max(0, MOST_KEPT - all.size()))
                .filter(job -> job.state().isOver())
                .forEach(jobs::delete);
        return all.stream()
                .map(asked -> jobs.save(new DeviceJob(
                                project,
                                asked.sheet(),
                                author,
                                clock.instant(),
                                asked.device(),
                                asked.words(),
                                asked.how(),
                                asked.isHeld()))
                        .id())
                .toList();
    }

    void hold(UUID project, UUID job) {
        locked(project, job).hold();
    }

    void release(UUID project, UUID job) {
        locked(project, job).release();
    }

    void cancel(UUID project, UUID job) {
        locked(project, job).cancel(clock.instant());
    }

    private DeviceJob locked(UUID project, UUID job) {
        return jobs.findAndLock(job)
                .filter(present -> present.projectId().equals(project))
                .orElseThrow();
    }

    @Transactional(readOnly = true)
    public List<UUID> unfinished() {
        return jobs.findByStateIn(Set.of(DeviceJob.State.PENDING, DeviceJob.State.PROCESSING)).stream()
                .map(DeviceJob::id)
                .toList();
    }

    /** The device takes a job; empty if it is not to have it. One that it was busy with when the node stopped it takes again. */
    Optional<DeviceJob> begin(UUID job) {
        return jobs.findAndLock(job)
                .filter(present ->
                        present.state() == DeviceJob.State.PENDING || present.state() == DeviceJob.State.PROCESSING)
                .map(present -> {
                    present.begin();
                    return present;
                });
    }

    /** All that came of it, at once. */
    void end(UUID job, Came came) {
        jobs.findAndLock(job).filter(present -> !present.state().isOver()).ifPresent(present -> {
            came.files().forEach((name, content) -> files.save(new DeviceFile(new DeviceFile.Key(job, name), content)));
            present.end(came, clock.instant());
        });
    }

    /**
     * A job as people see it.
     *
     * @param files by name
     */
    record View(
            UUID id,
            UUID sheet,
            String device,
            String words,
            String author,
            Instant madeAt,
            String state,
            String said,
            boolean isOver,
            boolean isHeld,
            boolean isWaiting,
            List<String> files) {}

    /** Latest first. */
    @Transactional(readOnly = true)
    public List<View> of(UUID project) {
        List<DeviceJob> all = jobs.findByProjectIdOrderByMadeAtDesc(project);
        Map<UUID, String> names =
                accounts.names(all.stream().map(DeviceJob::authorId).collect(Collectors.toSet()));
        return all.stream()
                .map(job -> new View(
                        job.id(),
                        job.sheetId(),
                        job.device().words(),
                        job.words(),
                        names.getOrDefault(job.authorId(), "somebody"),
                        job.madeAt(),
                        job.stateInWords(),
                        job.said(),
                        job.state().isOver(),
                        job.state() == DeviceJob.State.PENDING_HELD,
                        job.state() == DeviceJob.State.PENDING,
                        files.findNames(job.id())))
                .toList();
    }

    /** @throws java.util.NoSuchElementException if the project has no such job, or the job no such file */
    @Transactional(readOnly = true)
    public byte[] file(UUID project, UUID job, String name) {
        jobs.findByIdAndProjectId(job, project).orElseThrow();
        return files.findByKey(new DeviceFile.Key(job, name)).orElseThrow().content();
    }
}
