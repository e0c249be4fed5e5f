package stillpond.app.carry;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Runs of carry over many sheets: where from and where to, how far they are, and what came of them. */
@Service
@Transactional
class CarryRuns {

    static final int MOST_SOURCES = 50;
    static final int MOST_SHEETS = 900;
    /** Of a project; older ones are dropped. */
    private static final int MOST_RUNS = 5;
    /** The largest regions of a sheet that are in doubt are asked about, so many of them. */
    private static final int MOST_QUESTIONS = 200;
    /** So many of the sheets before it in its scene serve a sheet, if they do. */
    private static final int CHAINED = 2;

    private final RunRepository runs;
    private final RunSheetRepository runSheets;
    private final QuestionRepository questions;
    private final Sheets sheets;
    private final Projects projects;
    private final Accounts accounts;
    private final Clock clock;

    CarryRuns(
            RunRepository runs,
            RunSheetRepository runSheets,
            QuestionRepository questions,
            Sheets sheets,
            Projects projects,
            Accounts accounts,
            Clock clock) {
        this.runs = runs;
        this.runSheets = runSheets;
        this.questions = questions;
        this.sheets = sheets;
        this.projects = projects;
        this.accounts = accounts;
        this.clock = clock;
    }

    /**
     * What is asked for.
     *
     * @param chained whether a sheet, once carried onto, serves those of its scene that come after it
     */
    record Order(List<UUID> sources, List<UUID> targets, boolean chained) {}

    /**
     * A sheet that is next.
     *
     * @param sources that are carried from; some of them may not be there any more
     */
    record Task(UUID project, UUID author, StoredRunSheet.Key key, UUID sheet, List<UUID> sources) {}

    /** @throws Refusal if that comes to nothing, or to too much @throws java.util.NoSuchElementException if the project has no such sheet */
    UUID begin(UUID project, UUID author, Order order) {
        if (order.sources().isEmpty()) {
            throw new Refusal("Choose at least one sheet to carry from.");
        }
        if (order.sources().size() > MOST_SOURCES) {
            throw new Refusal("Up to " + MOST_SOURCES + " sheets can be carried from at once.");
        }
        Set<UUID> asked = new LinkedHashSet<>(order.targets());
        asked.removeAll(order.sources());
        if (asked.isEmpty()) {
            throw new Refusal("Choose at least one sheet to carry to that is not carried from.");
        }
        if (asked.size() > MOST_SHEETS) {
            throw new Refusal("Up to " + MOST_SHEETS + " sheets can be carried to at once.");
        }
        List<Sheet> present = sheets.inReadingOrder(project);
        Set<UUID> ids = present.stream().map(Sheet::id).collect(Collectors.toSet());
        if (!ids.containsAll(asked) || !ids.containsAll(order.sources())) {
            throw new NoSuchElementException("One of these sheets is not there any more.");
        }
        List<Sheet> targets =
                present.stream().filter(sheet -> asked.contains(sheet.id())).toList();
        dropOld(project);
        String words = targets.size() == 1 ? targets.get(0).title() : targets.size() + " sheets";
        StoredRun run =
                runs.save(new StoredRun(project, author, clock.instant(), words, order.sources(), order.chained()));
        for (int position = 0; position < targets.size(); position++) {
            runSheets.save(new StoredRunSheet(
                    new StoredRunSheet.Key(run.id(), position),
                    targets.get(position).id()));
        }
        return run.id();
    }

    private void dropOld(UUID project) {
        runs.findByProjectIdOrderByMadeAtDesc(project).stream()
                .skip(MOST_RUNS - 1L)
                .filter(StoredRun::isOver)
                .forEach(runs::delete);
    }

    @Transactional(readOnly = true)
    public List<UUID> underWay() {
        return runs.findByState(StoredRun.State.RUNNING).stream()
                .map(StoredRun::id)
                .toList();
    }

    /** The next sheet of a run; empty, and the run is done, when there is none. Of a run that is paused or cancelled there is none either. */
    Optional<Task> next(UUID id) {
        return runs.findById(id)
                .filter(run -> run.state() == StoredRun.State.RUNNING)
                .flatMap(run -> {
                    Optional<StoredRunSheet> next =
                            runSheets.findFirstByKeyRunIdAndStateOrderByKeyPosition(id, StoredRunSheet.State.WAITING);
                    if (next.isEmpty()) {
                        run.finish();
                    }
                    return next.map(sheet -> new Task(
                            run.projectId(), run.authorId(), sheet.key(), sheet.sheetId(), sources(run, sheet)));
                });
    }

    private List<UUID> sources(StoredRun run, StoredRunSheet sheet) {
        List<UUID> sources = new ArrayList<>(run.sources());
        if (run.isChained()) {
            Map<UUID, UUID> scenes =
                    sheets.inProject(run.projectId()).stream().collect(Collectors.toMap(Sheet::id, Sheet::scene));
            List<StoredRunSheet> before = runSheets.findByKeyRunIdOrderByKeyPosition(run.id()).stream()
                    .filter(other -> other.state() == StoredRunSheet.State.DONE)
                    .filter(other -> other.key().position() < sheet.key().position())
                    .filter(other -> scenes.containsKey(other.sheetId())
                            && scenes.get(other.sheetId()).equals(scenes.get(sheet.sheetId())))
                    .toList();
            before.subList(Math.max(0, before.size() - CHAINED), before.size())
                    .forEach(other -> sources.add(other.sheetId()));
        }
        return sources;
    }

    void say(UUID id, String words) {
        runs.findById(id).ifPresent(run -> run.say(words));
    }

    void done(Task task, SureLaying.Carried carried) {
        runSheets.findById(task.key()).ifPresent(sheet -> {
            List<SureLaying.Doubt> asked = carried.doubts().stream()
                    .sorted(Comparator.comparingDouble(doubt -> -doubt.area()))
                    .limit(MOST_QUESTIONS)
                    .toList();
            sheet.done(carried, carried.doubts().size() - asked.size());
            asked.forEach(doubt -> questions.save(new StoredQuestion(task.key(), doubt)));
        });
    }

    void failed(Task task, String why) {
        runSheets.findById(task.key()).ifPresent(sheet -> sheet.failed(why));
    }

    /** @throws java.util.NoSuchElementException if the project has no such run */
    void pause(UUID project, UUID id) {
        locked(project, id).pause();
    }

    void goOn(UUID project, UUID id) {
        locked(project, id).goOn();
    }

    void cancel(UUID project, UUID id) {
        locked(project, id).cancel();
    }

    private StoredRun locked(UUID project, UUID id) {
        return runs.findAndLock(id, project).orElseThrow();
    }

    /** What a run has laid on its sheets and that stands, the last first. @param position of the only sheet that is meant; empty for all */
    @Transactional(readOnly = true)
    public List<StoredRunSheet> laid(UUID project, UUID id, Optional<Integer> position) {
        StoredRun run = runs.findByIdAndProjectId(id, project).orElseThrow();
        return runSheets.findByKeyRunIdOrderByKeyPosition(run.id()).stream()
                .filter(sheet ->
                        position.isEmpty() || position.get() == sheet.key().position())
                .filter(sheet -> sheet.state() == StoredRunSheet.State.DONE
                        && !sheet.changes().isEmpty())
                .sorted(Comparator.comparingInt(sheet -> -sheet.key().position()))
                .toList();
    }

    void takenBack(StoredRunSheet.Key key) {
        runSheets.findById(key).ifPresent(StoredRunSheet::takenBack);
    }

    /**
     * A run as people see it.
     *
     * @param done how many sheets it is through with
     * @param open how many regions are in doubt and were not answered
     * @param left how many were looked at and left
     */
    record Shown(
            UUID id,
            String words,
            String author,
            UUID authorId,
            Instant madeAt,
            StoredRun.State state,
            String said,
            List<String> sources,
            List<ShownSheet> sheets,
            long done,
            long open,
            long left) {

        public boolean isOver() {
            return state == StoredRun.State.DONE || state == StoredRun.State.CANCELLED;
        }

        /** How many regions were laid. */
        public int laid() {
            return sheets.stream()
                    .filter(sheet -> sheet.state() == StoredRunSheet.State.DONE)
                    .mapToInt(ShownSheet::regions)
                    .sum();
        }

        public boolean isAnythingLaid() {
            return sheets.stream()
                    .anyMatch(sheet -> sheet.state() == StoredRunSheet.State.DONE && sheet.isAnythingLaid());
        }
    }

    /** @param title "a sheet that was removed" if it was */
    record ShownSheet(
            int position,
            UUID id,
            String title,
            StoredRunSheet.State state,
            int regions,
            int strokes,
            int shadows,
            long open,
            int unasked,
            String said) {

        public boolean isAnythingLaid() {
            return regions + strokes + shadows > 0;
        }
    }

    /** Of a project, latest first. */
    @Transactional(readOnly = true)
    public List<Shown> of(UUID project) {
        return shown(project, runs.findByProjectIdOrderByMadeAtDesc(project));
    }

    /** @throws java.util.NoSuchElementException if the project has no such run */
    @Transactional(readOnly = true)
    public Shown get(UUID project, UUID id) {
        return shown(project, List.of(runs.findByIdAndProjectId(id, project).orElseThrow()))
                .get(0);
    }

    private List<Shown> shown(UUID project, List<StoredRun> all) {
        Map<UUID, String> titles = new HashMap<>();
        sheets.removed(project).forEach(sheet -> titles.put(sheet.id(), sheet.title() + " (removed)"));
        sheets.inProject(project).forEach(sheet -> titles.put(sheet.id(), sheet.title()));
        Map<UUID, String> names =
                accounts.names(all.stream().map(StoredRun::authorId).collect(Collectors.toSet()));
        return all.stream().map(run -> shown(run, titles, names)).toList();
    }

    private Shown shown(StoredRun run, Map<UUID, String> titles, Map<UUID, String> names) {
        Map<Integer, Long> open = new HashMap<>();
        long left = 0;
        for (QuestionRepository.Counted counted : questions.count(run.id())) {
            StoredQuestion.State state = StoredQuestion.State.valueOf(counted.getState());
            if (state == StoredQuestion.State.OPEN) {
                open.put(counted.getPosition(), counted.getQuestions());
            } else if (state == StoredQuestion.State.LEFT) {
                left += counted.getQuestions();
            }
        }
        List<ShownSheet> all = runSheets.findByKeyRunIdOrderByKeyPosition(run.id()).stream()
                .map(sheet -> new ShownSheet(
                        sheet.key().position(),
                        sheet.sheetId(),
                        titles.getOrDefault(sheet.sheetId(), "a sheet that is gone"),
                        sheet.state(),
                        sheet.regions(),
                        sheet.strokes(),
                        sheet.shadows(),
                        open.getOrDefault(sheet.key().position(), 0L),
                        sheet.unasked(),
                        sheet.said()))
                .toList();
        return new Shown(
                run.id(),
                run.words(),
                names.getOrDefault(run.authorId(), "somebody"),
                run.authorId(),
                run.madeAt(),
                run.state(),
                run.said(),
                run.sources().stream()
                        .map(source -> titles.getOrDefault(source, "a sheet that is gone"))
                        .toList(),
                all,
                all.stream()
                        .filter(sheet -> sheet.state() != StoredRunSheet.State.WAITING)
                        .count(),
                open.values().stream().mapToLong(each -> each).sum(),
                left);
    }
}
