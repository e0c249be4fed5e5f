package stillpond.app.carry;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.refusal.Refusal;

/** What a run is in doubt of, over all its sheets: regions that most likely wear the same are asked about together. */
@Service
@Transactional
class CarryQueue {

    /** So many regions are shown before an answer is taken. */
    static final int MOST_AT_ONCE = 12;

    private static final int MOST_CHOICES = 4;

    private final RunRepository runs;
    private final RunSheetRepository runSheets;
    private final QuestionRepository questions;
    private final Corrections corrections;
    private final Sheets sheets;
    private final SheetChanges changes;
    private final Palettes palettes;
    private final Clock clock;

    CarryQueue(
            RunRepository runs,
            RunSheetRepository runSheets,
            QuestionRepository questions,
            Corrections corrections,
            Sheets sheets,
            SheetChanges changes,
            Palettes palettes,
            Clock clock) {
        this.runs = runs;
        this.runSheets = runSheets;
        this.questions = questions;
        this.corrections = corrections;
        this.sheets = sheets;
        this.changes = changes;
        this.palettes = palettes;
        this.clock = clock;
    }

    /** A region in doubt. */
    record Region(UUID id, Sheet sheet, UUID layer, int cell, Seen seen) {}

    /** What regions in doubt are to be answered with. @param choices likeliest first */
    record Asked(List<Region> regions, List<StoredChoice> choices) {}

    /** What is to be answered next, and after that. Those that cannot be answered any more are dropped on the way. */
    List<Asked> next(UUID project, UUID run, int most) {
        requireRun(project, run);
        Map<UUID, Sheet> book = book(project);
        List<Asked> asked = new ArrayList<>();
        for (String part : questions.findParts(run, most + 1)) {
            List<StoredQuestion> alike = questions
                    .findByRunIdAndPartAndStateOrderByLikelyDesc(
                            run, part, StoredQuestion.State.OPEN, Limit.of(MOST_AT_ONCE))
                    .stream()
                    .filter(question -> isStillOpen(book, question))
                    .toList();
            if (!alike.isEmpty() && asked.size() < most) {
                asked.add(new Asked(
                        alike.stream().map(question -> region(book, question)).toList(), choices(alike)));
            }
        }
        return asked;
    }

    private void requireRun(UUID project, UUID run) {
        runs.findByIdAndProjectId(run, project).orElseThrow();
    }

    /** Two people may answer the same at once: the second finds it answered. */
    private void lock(UUID project, UUID run) {
        runs.findAndLock(run, project).orElseThrow();
    }

    /** Somebody may have filled it, cut the sheet anew or removed it meanwhile. */
    private boolean isStillOpen(Map<UUID, Sheet> book, StoredQuestion question) {
        boolean isOpen = !empty(book, question).isEmpty();
        if (!isOpen) {
            question.gone();
        }
        return isOpen;
    }

    /** Its cells that wear nothing; none if its sheet was cut anew or removed. */
    private List<Integer> empty(Map<UUID, Sheet> book, StoredQuestion question) {
        return layer(book, question)
                .map(layer -> {
                    Fills fills = sheets.fills(layer);
                    return question.cells().stream()
                            .filter(cell -> fills.of(cell).equals(Fill.NONE))
                            .toList();
                })
                .orElse(List.of());
    }

    private Optional<Layer> layer(Map<UUID, Sheet> book, StoredQuestion question) {
        return sheet(book, question)
                .flatMap(sheet -> sheet.layers().stream()
                        .filter(layer -> layer.id().equals(question.layerId()))
                        .findFirst());
    }

    /** Empty if it was removed. */
    private Optional<Sheet> sheet(Map<UUID, Sheet> book, StoredQuestion question) {
        return Optional.ofNullable(
                book.get(runSheets.findById(question.sheet()).orElseThrow().sheetId()));
    }

    /** The sheets that are there. */
    private Map<UUID, Sheet> book(UUID project) {
        return sheets.inProject(project).stream().collect(Collectors.toMap(Sheet::id, sheet -> sheet));
    }

    private Region region(Map<UUID, Sheet> book, StoredQuestion question) {
        Sheet sheet = sheet(book, question).orElseThrow();
        UUID standing = layer(book, question).orElseThrow().standing().layer();
        return new Region(
                Objects.requireNonNull(question.getId()),
                sheet,
                standing,
                question.cells().get(0),
                question.seen());
    }

    /** What the regions have been given for choices, the likeliest of all of them first. */
    private static List<StoredChoice> choices(List<StoredQuestion> alike) {
        Map<String, Double> shares = new HashMap<>();
        Map<String, StoredChoice> byFill = new HashMap<>();
        alike.forEach(question -> question.choices().forEach(choice -> {
            shares.merge(choice.fill(), choice.share(), Double::sum);
            byFill.merge(choice.fill(), choice, (one, other) -> other.share() > one.share() ? other : one);
        }));
        return byFill.values().stream()
                .sorted(Comparator.comparingDouble((StoredChoice choice) -> -shares.get(choice.fill()))
                        .thenComparing(StoredChoice::fill))
                .limit(MOST_CHOICES)
                .toList();
    }

    /**
     * Lays a fill on regions in doubt, on each sheet as one change. What is not as it is most likely counts for the sheets that are still to come.
     *
     * @return how many regions were laid
     * @throws Refusal if the fill cannot be worn, or a sheet does not take it: then nothing was laid
     */
    int take(UUID project, UUID run, UUID person, Collection<UUID> asked, Fill fill) {
        lock(project, run);
        if (fill.swatches().isEmpty() || !palettes.of(project).hasAll(fill.swatches())) {
            throw new Refusal("This swatch is on none of the project's cards.");
        }
        StoredQuestion.Answer answer = answer(person);
        Map<UUID, Sheet> book = book(project);
        Map<UUID, List<StoredQuestion>> byLayer = open(run, asked).stream()
                .filter(question -> isStillOpen(book, question))
                .collect(Collectors.groupingBy(StoredQuestion::layerId));
        int laid = 0;
        for (List<StoredQuestion> onLayer : byLayer.values()) {
            lay(book, onLayer, fill, answer);
            laid += onLayer.size();
        }
        return laid;
    }

    private void lay(Map<UUID, Sheet> book, List<StoredQuestion> onLayer, Fill fill, StoredQuestion.Answer answer) {
        UUID sheet = runSheets.findById(onLayer.get(0).sheet()).orElseThrow().sheetId();
        List<Integer> cells = onLayer.stream()
                .flatMap(question -> empty(book, question).stream())
                .toList();
        UUID change = UUID.randomUUID();
        ChangeRequest.Lay lay = new ChangeRequest.Lay(change, onLayer.get(0).layerId(), fill, cells);
        if (changes.make(sheet, answer.by(), lay) instanceof ChangeOutcome.Refused refused) {
            throw new Refusal(refused.reason());
        }
        List<UUID> ids = onLayer.stream().map(StoredQuestion::getId).toList();
        // What lays fills in bulk leaves nothing of the session behind.
        for (StoredQuestion question :
                questions.findByRunIdAndIdIn(onLayer.get(0).sheet().runId(), ids)) {
            StoredChoice first = question.choices().get(0);
            if (!first.fill().equals(fill.text())) {
                corrections.note(first.layerId(), first.cell(), fill.text());
            }
            question.answer(StoredQuestion.State.TAKEN, answer, change);
        }
    }

    /** Leaves regions as they are; they can be asked about again. */
    void leave(UUID project, UUID run, UUID person, Collection<UUID> asked) {
        lock(project, run);
        StoredQuestion.Answer answer = answer(person);
        open(run, asked).forEach(question -> question.answer(StoredQuestion.State.LEFT, answer, null));
    }

    private List<StoredQuestion> open(UUID run, Collection<UUID> asked) {
        if (asked.size() > MOST_AT_ONCE) {
            throw new Refusal("Up to " + MOST_AT_ONCE + " regions are answered at once.");
        }
        return questions.findByRunIdAndIdIn(run, List.copyOf(new HashSet<>(asked))).stream()
                .filter(question -> question.state() == StoredQuestion.State.OPEN)
                .toList();
    }

    private StoredQuestion.Answer answer(UUID person) {
        return new StoredQuestion.Answer(UUID.randomUUID(), person, clock.instant());
    }

    /** Asks again about all that was left. */
    void askAgain(UUID project, UUID run) {
        lock(project, run);
        questions.findByRunIdAndState(run, StoredQuestion.State.LEFT).forEach(StoredQuestion::askAgain);
    }

    /**
     * Takes back what a person answered last.
     *
     * @return whether there was anything
     */
    boolean takeBack(UUID project, UUID run, UUID person) {
        lock(project, run);
        Optional<StoredQuestion> last = questions.findFirstByRunIdAndAnsweredByOrderByAnsweredAtDesc(run, person);
        last.map(StoredQuestion::answerId).ifPresent(answer -> takeBack(questions.findByRunIdAndAnswerId(run, answer)));
        return last.isPresent();
    }

    private void takeBack(List<StoredQuestion> answered) {
        Map<UUID, StoredQuestion> byChange = new HashMap<>();
        for (StoredQuestion question : answered) {
            @Nullable UUID change = question.changeId();
            if (change != null) {
                byChange.put(change, question);
            }
        }
        List<UUID> ids = answered.stream().map(StoredQuestion::getId).toList();
        UUID run = answered.get(0).sheet().runId();
        byChange.forEach((change, question) -> changes.make(
                runSheets.findById(question.sheet()).orElseThrow().sheetId(),
                Objects.requireNonNull(question.answeredBy()),
                new ChangeRequest.Undo(UUID.randomUUID(), change)));
        questions.findByRunIdAndIdIn(run, ids).forEach(StoredQuestion::askAgain);
    }
}
