package stillpond.app.background;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Schedules;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Does the work of each lane one piece after the other, on whichever node is free; after a restart it goes on where it was. */
@Component
public class Background {

    private static final Duration RETRY = Duration.ofSeconds(5);
    /** Of UTC: somebody is awake at any hour, and hardly anybody at all of them. */
    private static final LocalTime NIGHT = LocalTime.of(3, 0);

    private final Map<Lane, Scheduler> lanes = new EnumMap<>(Lane.class);
    private final ExecutorService puttingOff = Executors.newSingleThreadExecutor(Background::daemon);
    private final List<BackgroundTask> tasks;
    private volatile boolean isStopping;

    Background(DataSource database, ObjectProvider<BackgroundTask> tasks, ObjectProvider<DailyTask> daily) {
        this.tasks = tasks.orderedStream().toList();
        for (Lane lane : Lane.values()) {
            List<RecurringTask<Void>> nightly = lane == Lane.LONG
                    ? daily.orderedStream().map(Background::nightly).toList()
                    : List.of();
            lanes.put(lane, scheduler(lane, database, nightly));
        }
    }

    private Scheduler scheduler(Lane lane, DataSource database, List<RecurringTask<Void>> nightly) {
        List<Task<?>> known = new ArrayList<>();
        tasks.stream().filter(task -> task.lane() == lane).map(this::scheduled).forEach(known::add);
        return Scheduler.create(database, known)
                .tableName(lane.table())
                .startTasks(nightly)
                .threads(1)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(Duration.ofSeconds(5))
                .shutdownMaxWait(Duration.ofSeconds(5))
                .enableImmediateExecution()
                .build();
    }

    private static RecurringTask<Void> nightly(DailyTask task) {
        return Tasks.recurring(task.name(), Schedules.daily(ZoneOffset.UTC, NIGHT))
                .execute((instance, context) -> task.run());
    }

    private OneTimeTask<Void> scheduled(BackgroundTask task) {
        return Tasks.oneTime(task.name(), Void.class)
                .onFailure(new FailureHandler.OnFailureRetryLater<>(RETRY))
                .execute((instance, context) -> task.run(UUID.fromString(instance.getId()), this::requireGoingOn));
    }

    private void requireGoingOn() {
        if (isStopping) {
            throw new CancellationException("This node stops; another goes on");
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        lanes.values().forEach(Scheduler::start);
        tasks.forEach(task -> task.unfinished().forEach(id -> begin(task.name(), id)));
    }

    @PreDestroy
    void stop() {
        isStopping = true;
        // What is under way here may still put something off.
        lanes.values().forEach(Scheduler::stop);
        puttingOff.shutdown();
    }

    /**
     * Has something done at a time, and not before: asking again puts it off. Soon, and not at once: whoever asks when a transaction has been committed still has its connection, and as many of them as
     * there are connections would wait for one more each.
     *
     * @param task its name
     */
    public void putOff(String task, UUID id, Instant until) {
        puttingOff.execute(() -> of(task).schedule(
                        new TaskInstance<>(task, id.toString()),
                        until,
                        SchedulerClient.ScheduleOptions.WHEN_EXISTS_RESCHEDULE));
    }

    private static Thread daemon(Runnable work) {
        Thread thread = new Thread(work, "put-off");
        thread.setDaemon(true);
        return thread;
    }

    /** What is under way already is not begun again. @param task its name */
    public void begin(String task, UUID id) {
        of(task).scheduleIfNotExists(new TaskInstance<>(task, id.toString()), Instant.now());
    }

    private Scheduler of(String name) {
        BackgroundTask known = tasks.stream()
                .filter(task -> task.name().equals(name))
                .findFirst()
                .orElseThrow();
        return lanes.get(known.lane());
    }
}
