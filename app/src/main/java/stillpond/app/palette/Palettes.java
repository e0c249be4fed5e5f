package stillpond.app.palette;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.project.ProjectStarted;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.palette.Card;
import stillpond.core.palette.Locks;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import tools.jackson.databind.json.JsonMapper;

/** The palette of each project: every change is one row of its log and can be taken back by whoever made it. */
@Service
@Transactional
public class Palettes {

    private static final int LONGEST_REASON = 2000;

    private final CardRepository cards;
    private final PaletteChangeRepository changes;
    private final Projects projects;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;
    private final Clock clock;

    Palettes(
            CardRepository cards,
            PaletteChangeRepository changes,
            Projects projects,
            ApplicationEventPublisher events,
            JsonMapper json,
            Clock clock) {
        this.cards = cards;
        this.changes = changes;
        this.projects = projects;
        this.events = events;
        this.json = json;
        this.clock = clock;
    }

    /** A change that was made. */
    public record Made(UUID id, String words) {}

    @Transactional(readOnly = true)
    public Palette of(UUID project) {
        return new Palette(cards.findByProjectIdOrderByPosition(project).stream()
                .map(StoredCard::asCard)
                .toList());
    }

    @EventListener
    void layOutNeutrals(ProjectStarted started) {
        add(started.project(), Card.neutrals());
    }

    /** Adds a card behind the others, without a step to undo: for what a project begins with. */
    public void add(UUID project, Card card) {
        cards.lock(project);
        Palette before = of(project);
        write(project, before, before.after(new PaletteEdit.AddCard(card)));
    }

    /**
     * Makes edits, in their order, as one change.
     *
     * @throws IllegalArgumentException with a message for the user; then nothing is changed
     * @throws stillpond.app.project.NotAllowed if the author would change what a locked card holds, and may not
     */
    public Made change(UUID project, UUID author, List<PaletteEdit> edits) {
        return change(project, author, edits, "");
    }

    /** As above, with the reason for the history. */
    public Made change(UUID project, UUID author, List<PaletteEdit> edits, String reason) {
        cards.lock(project);
        Palette before = of(project);
        Palette after = before;
        for (PaletteEdit edit : edits) {
            after = after.after(edit);
        }
        requireAllowed(project, author, before, after);
        String words = edits.get(0).words();
        StoredPaletteChange change = new StoredPaletteChange(
                UUID.randomUUID(),
                project,
                author,
                clock.instant(),
                words,
                requireReason(reason),
                new StoredPaletteChange.Texts(text(before, after), text(after, before)));
        changes.save(change);
        write(project, before, after);
        events.publishEvent(new PaletteChanged(project, author));
        return new Made(change.id(), words);
    }

    private static String requireReason(String reason) {
        if (reason.length() > LONGEST_REASON) {
            throw new IllegalArgumentException("A reason has up to " + LONGEST_REASON + " letters.");
        }
        return reason.strip();
    }

    private void requireAllowed(UUID project, UUID author, Palette before, Palette after) {
        if (Locks.broken(before, after).isPresent()) {
            projects.require(project, author, Right.CHANGE_LOCKED_CARDS);
        }
    }

    /** What the author would take back next. */
    @Transactional(readOnly = true)
    public Optional<Made> undoable(UUID project, UUID author) {
        return latest(project, author).map(change -> new Made(change.id(), change.words()));
    }

    /**
     * Takes the author's latest change back, everywhere.
     *
     * @throws IllegalArgumentException if there is none, or the cards were changed again since
     * @throws stillpond.app.project.NotAllowed if a card was locked since, and the author may not change it
     */
    public Made undo(UUID project, UUID author) {
        cards.lock(project);
        StoredPaletteChange change = latest(project, author)
                .orElseThrow(() -> new IllegalArgumentException("There is no change of yours to take back."));
        List<CardText> formerly = read(change.before());
        List<CardText> then = read(change.after());
        Palette now = of(project);
        Map<UUID, Card> asChanged = then.stream().collect(Collectors.toMap(CardText::id, CardText::asCard));
        boolean changedSince = asChanged.values().stream()
                .anyMatch(card -> !now.card(card.id()).equals(Optional.of(card)));
        if (changedSince) {
            throw new IllegalArgumentException(
                    "Somebody has changed this card since, so your change cannot simply be taken back.");
        }
        Palette restored = restored(now, formerly, asChanged.keySet());
        requireAllowed(project, author, now, restored);
        change.undo(clock.instant());
        changes.save(change);
        write(project, now, restored);
        events.publishEvent(new PaletteChanged(project, author));
        return new Made(change.id(), change.words());
    }

    private static Palette restored(Palette now, List<CardText> formerly, Set<UUID> changed) {
        List<Card> cards = new ArrayList<>(now.cards().stream()
                .filter(card -> !changed.contains(card.id()))
                .toList());
        formerly.stream()
                .sorted((a, b) -> Integer.compare(a.position(), b.position()))
                .forEach(card -> cards.add(Math.min(card.position(), cards.size()), card.asCard()));
        return new Palette(cards);
    }

    private List<CardText> read(String text) {
        return List.of(json.readValue(text, CardText[].class));
    }

    /** As it was at a moment. */
    @Transactional(readOnly = true)
    public Palette at(UUID project, Instant moment) {
        List<Step> steps = new ArrayList<>();
        for (StoredPaletteChange change : changes.findSince(project, moment)) {
            if (change.madeAt().isAfter(moment)) {
                steps.add(new Step(change.madeAt(), read(change.after()), read(change.before())));
            }
            if (change.undoneAt() != null && change.undoneAt().isAfter(moment)) {
                steps.add(new Step(change.undoneAt(), read(change.before()), read(change.after())));
            }
        }
        steps.sort(Comparator.comparing(Step::at).reversed());
        Palette then = of(project);
        for (Step step : steps) {
            then = restored(
                    then, step.to(), step.from().stream().map(CardText::id).collect(Collectors.toSet()));
        }
        return then;
    }

    /** A step to go back over: from what it led to, to what was before. */
    private record Step(Instant at, List<CardText> from, List<CardText> to) {}

    /** One change of a card. @param before empty if it added the card @param after empty if it removed the card */
    public record CardChange(
            UUID id,
            UUID author,
            Instant madeAt,
            String words,
            String reason,
            boolean isUndone,
            Optional<Card> before,
            Optional<Card> after) {}

    /** What was ever changed of a card, latest first; an empty one if it is as it began. */
    @Transactional(readOnly = true)
    public List<CardChange> history(UUID project, UUID card) {
        return changes.findByProjectIdOrderByMadeAtDesc(project).stream()
                .map(change -> new CardChange(
                        change.id(),
                        change.authorId(),
                        change.madeAt(),
                        change.words(),
                        change.reason(),
                        change.undoneAt() != null,
                        find(change.before(), card),
                        find(change.after(), card)))
                .filter(change -> change.before().isPresent() || change.after().isPresent())
                .toList();
    }

    /** Something that was done and stands. */
    public record Done(Instant at, UUID author, String words) {}

    /** What was done to the cards of a project and stands, latest first, at the most so many. */
    @Transactional(readOnly = true)
    public List<Done> done(UUID project, int most) {
        return changes.findByProjectIdOrderByMadeAtDesc(project).stream()
                .filter(change -> change.undoneAt() == null)
                .limit(most)
                .map(change -> new Done(change.madeAt(), change.authorId(), change.words()))
                .toList();
    }

    private Optional<Card> find(String text, UUID card) {
        return read(text).stream()
                .filter(each -> each.id().equals(card))
                .findFirst()
                .map(CardText::asCard);
    }

    /** Says why a change was made; only its author does. */
    public void explain(UUID project, UUID change, UUID author, String reason) {
        StoredPaletteChange explained =
                changes.findByIdAndProjectId(change, project).orElseThrow();
        if (!explained.authorId().equals(author)) {
            throw new IllegalArgumentException("Only who made a change says why.");
        }
        explained.explain(requireReason(reason));
    }

    private Optional<StoredPaletteChange> latest(UUID project, UUID author) {
        return changes.findFirstByProjectIdAndAuthorIdAndUndoneAtIsNullOrderByMadeAtDesc(project, author);
    }

    /** The cards of one palette that are not the same in another. */
    private String text(Palette palette, Palette other) {
        List<CardText> different = new ArrayList<>();
        for (int i = 0; i < palette.cards().size(); i++) {
            Card card = palette.cards().get(i);
            if (!other.card(card.id()).equals(Optional.of(card))) {
                different.add(CardText.of(card, i));
            }
        }
        return json.writeValueAsString(different);
    }

    private void write(UUID project, Palette before, Palette after) {
        Map<UUID, Card> old = before.cards().stream().collect(Collectors.toMap(Card::id, Function.identity()));
        Set<UUID> kept = new HashSet<>();
        for (int i = 0; i < after.cards().size(); i++) {
            Card card = after.cards().get(i);
            card.swatches().forEach(swatch -> kept.add(swatch.id()));
            Card former = old.remove(card.id());
            if (!card.equals(former)) {
                String kind = card.kind().name();
                requireOwn(cards.write(card.id(), project, card.name(), card.subject(), kind, card.locked(), i));
                writeSwatches(project, card);
            }
        }
        before.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .map(Swatch::id)
                .filter(swatch -> !kept.contains(swatch))
                .forEach(swatch -> cards.removeSwatch(project, swatch));
        old.keySet().forEach(card -> cards.remove(project, card));
    }

    private void writeSwatches(UUID project, Card card) {
        for (int i = 0; i < card.swatches().size(); i++) {
            Swatch swatch = card.swatches().get(i);
            requireOwn(cards.writeSwatch(
                    swatch.id(),
                    project,
                    card.id(),
                    swatch.name(),
                    swatch.part(),
                    swatch.note(),
                    swatch.paint().text(),
                    i));
        }
    }

    /** Pages make ids of their own for what is new; one that another project has is not new. */
    private static void requireOwn(int written) {
        if (written == 0) {
            throw new IllegalArgumentException("This number is taken by something else. Nothing was changed.");
        }
    }
}
