package stillpond.app.history;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.history.UndoLine;
import stillpond.core.refusal.Refusal;

/** The log of everything that is done in projects, written within the transaction of whoever does it. */
@Service
@Transactional
public class History {

    private static final int LONGEST_REASON = 2000;
    /** Further back nobody goes step by step; whatever is older can be taken back by its name. */
    private static final int LINE_REACH = 2000;
    /** So many effects are gone back over to show something as it was; each is some kilobytes. */
    private static final int MOST_BACK = 20_000;

    private static final Limit MORE_THAN_BACK = Limit.of(MOST_BACK + 1);
    private static final int STRETCH = 200;

    private final ChangeRepository changes;
    private final EffectTexts texts;
    private final LogRows log;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    History(ChangeRepository changes, EffectTexts texts, LogRows log, ApplicationEventPublisher events, Clock clock) {
        this.changes = changes;
        this.texts = texts;
        this.log = log;
        this.events = events;
        this.clock = clock;
    }

    /** Holds others back from changing the palette of a project until the transaction ends; to be called before any sheet is locked. */
    public void lockProject(UUID project) {
        changes.lockProject(project);
    }

    /** Holds others back from changing sheets until the transaction ends. */
    public void lockSheets(Collection<UUID> sheets) {
        changes.lockSheets(new TreeSet<>(sheets).toArray(UUID[]::new));
    }

    /**
     * Keeps what was done as one change.
     *
     * @param id of the change
     * @param words what it was, for people
     * @param reason why, in the author's words; may be empty
     * @throws Refusal if the reason is too long
     */
    public Made keep(UUID id, UUID project, UUID author, String words, String reason, List<Effect> effects) {
        return keep(new Made(
                id,
                project,
                author,
                clock.instant(),
                Made.Kind.CHANGE,
                Optional.empty(),
                words,
                requireReason(reason),
                effects));
    }

    /** As above, with an id of its own and without a reason. */
    public Made keep(UUID project, UUID author, String words, List<Effect> effects) {
        return keep(UUID.randomUUID(), project, author, words, "", effects);
    }

    Made keepStep(UUID id, UUID author, Made.Kind kind, Made concerned, List<Effect> effects) {
        String done = kind == Made.Kind.UNDO ? "Took back: " : "Did again: ";
        return keep(new Made(
                id,
                concerned.project(),
                author,
                clock.instant(),
                kind,
                Optional.of(concerned.id()),
                done + concerned.words(),
                "",
                effects));
    }

    private Made keep(Made made) {
        log.add(made);
        made.effects().stream()
                .map(effect -> new Happened(
                        made.project(),
                        effect.sheet(),
                        effect.part(),
                        Optional.of(made.id()),
                        Optional.of(made.author())))
                .distinct()
                .forEach(events::publishEvent);
        return made;
    }

    private static String requireReason(String reason) {
        if (reason.length() > LONGEST_REASON) {
            throw new Refusal("A reason has up to " + LONGEST_REASON + " letters.");
        }
        return reason.strip();
    }

    /** Says why a change was made; only its author does. */
    public void explain(UUID project, UUID change, UUID author, String reason) {
        StoredChange explained = changes.findByIdAndProjectId(change, project).orElseThrow();
        if (!explained.authorId().equals(author)) {
            throw new Refusal("Only who made a change says why.");
        }
        explained.explain(requireReason(reason));
    }

    @Transactional(readOnly = true)
    public Optional<Made> find(UUID change) {
        return changes.findById(change).map(this::made);
    }

    /** What a person can take back and do again where a sheet is worked on: whatever is about the sheet, or about the whole project. */
    @Transactional(readOnly = true)
    public List<UndoLine.Known<UUID>> knownOn(UUID project, UUID author, UUID sheet) {
        return known(changes.findKnown(project, author, sheet, LINE_REACH));
    }

    /** What a person can take back and do again where a project is worked on: cards, lights, wardrobes, and who is on a sheet. */
    @Transactional(readOnly = true)
    public UndoLine<UUID> lineOf(UUID project, UUID author) {
        return UndoLine.of(known(changes.findKnown(project, author, null, LINE_REACH)));
    }

    private static List<UndoLine.Known<UUID>> known(List<ChangeRepository.KnownRow> known) {
        return known.stream()
                .map(row -> new UndoLine.Known<>(row.getChange(), row.getMade(), row.getLast(), row.getStands()))
                .toList();
    }

    /** Of each change what was done last about it: the change itself, or the newest step that took it back or did it again. The next step takes back this, and nothing else. */
    @Transactional(readOnly = true)
    public Map<UUID, Made> lastSteps(Collection<UUID> ids) {
        return ids.isEmpty()
                ? Map.of()
                : changes.findLastSteps(ids.toArray(UUID[]::new)).stream()
                        .map(this::made)
                        .collect(Collectors.toMap(step -> step.concerns().orElse(step.id()), Function.identity()));
    }

    /** What was done to a sheet or to the whole project, steps back and forth too, latest first, at the most so much. */
    @Transactional(readOnly = true)
    public List<Made> about(UUID project, UUID sheet, int most) {
        return changes.findAbout(project, sheet, Limit.of(most)).stream()
                .map(this::made)
                .toList();
    }

    /** The last changes of cards, latest first, without the steps back and forth, at the most so many. */
    @Transactional(readOnly = true)
    public List<Made> ofCards(UUID project, int most) {
        return changes.findOfCards(project, Limit.of(most)).stream()
                .map(this::made)
                .toList();
    }

    /**
     * Whatever was done to a sheet after a moment, latest first.
     *
     * @throws Refusal if that is more than is gone back over at once
     */
    @Transactional(readOnly = true)
    public List<Effect> ofSheetSince(UUID sheet, Instant moment) {
        return effects(changes.findOfSheetSince(sheet, moment, MORE_THAN_BACK));
    }

    /** Which of the cuttings of a layer stood at a moment, as far as anything done up to then names one. */
    @Transactional(readOnly = true)
    public Optional<UUID> standing(Collection<UUID> cuttings, Instant moment) {
        return changes.findStanding(cuttings, moment, Limit.of(1)).stream().findFirst();
    }

    /**
     * Whatever was done to cards, lights and wardrobes after a moment, latest first.
     *
     * @throws Refusal as {@link #ofSheetSince}
     */
    @Transactional(readOnly = true)
    public List<Effect> ofProjectSince(UUID project, Instant moment) {
        return effects(changes.findOfProjectSince(project, moment, MORE_THAN_BACK));
    }

    /**
     * Reads a stretch of the log of a project.
     *
     * @param after the number of the last change that was read before; 0 to begin
     * @return that of the last one that was read now; empty if there is none any more
     * @throws RuntimeException if one of them cannot be read
     */
    @Transactional(readOnly = true)
    public OptionalLong readOn(UUID project, long after) {
        List<StoredChange> stretch = changes.findStretch(project, after, Limit.of(STRETCH));
        stretch.forEach(this::made);
        return stretch.stream().mapToLong(StoredChange::number).max();
    }

    private List<Effect> effects(List<StoredEffect> stored) {
        if (stored.size() > MOST_BACK) {
            throw new Refusal(
                    "More than %,d steps were made since that moment, which is more than is gone back over at once."
                                    .formatted(MOST_BACK)
                            + " Choose a later moment.");
        }
        return stored.stream().map(effect -> texts.effect(effect.row())).toList();
    }

    /** The cutting that the last cut on record left of a layer. @param cuttings all of the layer */
    @Transactional(readOnly = true)
    public Optional<UUID> lastCut(UUID sheet, Collection<UUID> cuttings) {
        return changes.findCuts(sheet, cuttings, Limit.of(1)).stream().findFirst();
    }

    /** Which of some changes were taken back and not done again. */
    @Transactional(readOnly = true)
    public Set<UUID> takenBack(Collection<UUID> ids) {
        return ids.isEmpty()
                ? Set.of()
                : changes.findLastSteps(ids.toArray(UUID[]::new)).stream()
                        .filter(step -> step.kind() == Made.Kind.UNDO)
                        .map(step -> step.concerns().orElseThrow())
                        .collect(Collectors.toSet());
    }

    private Made made(StoredChange stored) {
        return new Made(
                stored.id(),
                stored.projectId(),
                stored.authorId(),
                stored.madeAt(),
                stored.kind(),
                stored.concerns(),
                stored.words(),
                stored.reason(),
                stored.effects().stream().map(texts::effect).toList());
    }
}
