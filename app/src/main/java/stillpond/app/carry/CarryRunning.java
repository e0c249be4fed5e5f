package stillpond.app.carry;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import stillpond.app.background.BackgroundTask;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Carries onto the sheets of a run, one after the other. */
@Component
class CarryRunning implements BackgroundTask {

    static final String NAME = "carry";

    private static final Logger LOG = LoggerFactory.getLogger(CarryRunning.class);
    private static final String UNFORESEEN = "something went wrong here; it is noted in the log";

    private final CarryRuns runs;
    private final SheetCarrying carrying;
    private final SureLaying laying;
    private final Sheets sheets;

    CarryRunning(CarryRuns runs, SheetCarrying carrying, SureLaying laying, Sheets sheets) {
        this.runs = runs;
        this.carrying = carrying;
        this.laying = laying;
        this.sheets = sheets;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public List<UUID> unfinished() {
        return runs.underWay();
    }

    @Override
    public void run(UUID run, Node node) {
        Usable usable = new Usable();
        for (Optional<CarryRuns.Task> next = runs.next(run); next.isPresent(); next = runs.next(run)) {
            node.requireGoingOn();
            carry(next.get(), usable);
        }
    }

    private void carry(CarryRuns.Task task, Usable usable) {
        try {
            List<UUID> sources = usable.of(task);
            if (sources.isEmpty()) {
                throw new Refusal("none of the sheets to carry from can be read any more");
            }
            runs.done(
                    task,
                    laying.carry(
                            sheets.present(task.project(), task.sheet()),
                            task.author(),
                            sources,
                            layer -> changeOf(task, layer)));
        } catch (Refusal refusal) {
            runs.failed(task, refusal.getMessage());
        } catch (NoSuchElementException gone) {
            runs.failed(task, "the sheet is not there any more");
        } catch (RuntimeException fault) {
            LOG.error("Sheet {} could not be carried onto", task.sheet(), fault);
            runs.failed(task, UNFORESEEN);
        }
    }

    /** The same if a sheet is carried onto again, since the node ended before it was noted. */
    private static UUID changeOf(CarryRuns.Task task, UUID layer) {
        String name = task.key().runId() + " " + task.key().position() + " " + layer;
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** Which of the sources can be read: one that cannot is named and left out, and does not hold up the others. */
    private final class Usable {

        private final Map<UUID, Optional<String>> objections = new HashMap<>();

        List<UUID> of(CarryRuns.Task task) {
            int known = objections.size();
            List<UUID> usable = task.sources().stream()
                    .filter(source -> objections
                            .computeIfAbsent(source, any -> objectionTo(task.project(), source))
                            .isEmpty())
                    .toList();
            if (objections.size() > known) {
                List<String> said = new ArrayList<>();
                objections.values().forEach(each -> each.ifPresent(said::add));
                runs.say(task.key().runId(), String.join("; ", said));
            }
            return usable;
        }

        private Optional<String> objectionTo(UUID project, UUID source) {
            try {
                return carrying.wearsAnything(
                                project, sheets.present(project, source).id())
                        ? Optional.empty()
                        : Optional.of(sheets.get(project, source).title() + " wears nothing");
            } catch (NoSuchElementException gone) {
                return Optional.of("a sheet to carry from is not there any more");
            } catch (RuntimeException fault) {
                LOG.error("Sheet {} could not be carried from", source, fault);
                return Optional.of(sheets.get(project, source).title() + " cannot be read");
            }
        }
    }
}
