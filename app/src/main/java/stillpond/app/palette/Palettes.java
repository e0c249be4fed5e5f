package stillpond.app.palette;

import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.app.project.ProjectStarted;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.palette.Card;
import stillpond.core.palette.CardsChange;
import stillpond.core.palette.Locks;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** The palette of each project. */
@Service
@Transactional
public class Palettes implements EffectKind<Effect.Cards> {

    /** As far as the history of a card goes back. */
    static final int MOST_CHANGES = 2000;

    private final CardRepository cards;
    private final Projects projects;
    private final History history;

    Palettes(CardRepository cards, Projects projects, History history) {
        this.cards = cards;
        this.projects = projects;
        this.history = history;
    }

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
        history.lockProject(project);
        Palette before = of(project);
        write(project, before, before.after(new PaletteEdit.AddCard(card)), Map.of());
    }

    /**
     * Makes edits, in their order, as one change.
     *
     * @param reason for the history; may be empty
     * @throws Refusal; then nothing is changed
     * @throws stillpond.app.project.NotAllowed if the author would change what a locked card holds, and may not
     */
    public Made change(UUID project, UUID author, List<PaletteEdit> edits, String reason) {
        Effect effect = edit(project, author, edits, Map.of());
        return history.keep(UUID.randomUUID(), project, author, edits.get(0).words(), reason, List.of(effect));
    }

    /** As above, without a reason. */
    public Made change(UUID project, UUID author, List<PaletteEdit> edits) {
        return change(project, author, edits, "");
    }

    /**
     * Makes edits, in their order, as a part of a change that the caller keeps; no sheet is locked yet, or the project is.
     *
     * @param instead for swatches that they remove: what is worn in their place, where it is not nothing
     * @throws Refusal; then nothing is changed
     * @throws stillpond.app.project.NotAllowed if the author would change what a locked card holds, and may not
     */
    public Effect.Cards edit(UUID project, UUID author, List<PaletteEdit> edits, Map<UUID, UUID> instead) {
        history.lockProject(project);
        Palette before = of(project);
        Palette after = before;
        for (PaletteEdit edit : edits) {
            after = after.after(edit);
        }
        requireAllowed(project, author, before, after);
        write(project, before, after, instead);
        return new Effect.Cards(CardsChange.between(before, after, instead));
    }

    private void requireAllowed(UUID project, UUID author, Palette before, Palette after) {
        if (Locks.broken(before, after).isPresent()) {
            projects.require(project, author, Right.CHANGE_LOCKED_CARDS);
        }
    }

    private boolean isAllowed(UUID project, UUID author, Palette before, Palette after) {
        return Locks.broken(before, after).isEmpty() || projects.may(project, author, Right.CHANGE_LOCKED_CARDS);
    }

    @Override
    public Class<Effect.Cards> effects() {
        return Effect.Cards.class;
    }

    /** Left alone too if a card was locked since, and the author may not change it, or if the cards would not hold together any more. */
    @Override
    public Done done(UUID project, UUID author, Effect.Cards effect) {
        Palette now = of(project);
        CardsChange.TakenBack back;
        try {
            back = effect.change().inverse().takenBackIn(now);
        } catch (Refusal wouldNotHold) {
            return Done.nothing();
        }
        Map<UUID, UUID> instead = effect.change().instead();
        CardsChange change = CardsChange.between(now, back.palette(), instead);
        if (change.isEmpty()) {
            return new Done(Optional.empty(), back.leftAlone());
        }
        if (!isAllowed(project, author, now, back.palette())) {
            return Done.nothing();
        }
        write(project, now, back.palette(), instead);
        return new Done(Optional.of(new Effect.Cards(change)), back.leftAlone());
    }

    /** Says by which sheet a card is judged. */
    public void judge(UUID project, UUID card, UUID sheet) {
        cards.setModel(project, card, sheet);
    }

    /** The sheets that somebody said cards are judged by, by card. */
    @Transactional(readOnly = true)
    public Map<UUID, UUID> models(UUID project) {
        Map<UUID, UUID> models = new HashMap<>();
        cards.findByProjectIdOrderByPosition(project)
                .forEach(card -> card.modelSheet().ifPresent(sheet -> models.put(card.id(), sheet)));
        return models;
    }

    /** As it was at a moment. */
    @Transactional(readOnly = true)
    public Palette at(UUID project, Instant moment) {
        Palette then = of(project);
        for (Effect effect : history.ofProjectSince(project, moment)) {
            if (effect instanceof Effect.Cards edited) {
                then = edited.change().undoneIn(then);
            }
        }
        return then;
    }

    /** One change of a card. @param before empty if it added the card @param after empty if it removed the card */
    public record CardChange(Made made, boolean isUndone, Optional<Card> before, Optional<Card> after) {}

    /** @param changes latest first; none if it is as it began @param isWhole whether they go back to how it began */
    public record CardHistory(List<CardChange> changes, boolean isWhole) {}

    /** What was changed of a card, as far as the last {@value #MOST_CHANGES} changes of all cards go back. */
    @Transactional(readOnly = true)
    public CardHistory history(UUID project, UUID card) {
        List<Made> found = history.ofCards(project, MOST_CHANGES + 1);
        List<Made> all = found.subList(0, Math.min(found.size(), MOST_CHANGES));
        Set<UUID> takenBack = history.takenBack(all.stream().map(Made::id).toList());
        List<CardChange> changes = all.stream()
                .flatMap(made -> made.effects().stream()
                        .filter(Effect.Cards.class::isInstance)
                        .map(effect -> ((Effect.Cards) effect).change())
                        .map(change -> new CardChange(
                                made, takenBack.contains(made.id()), change.before(card), change.after(card))))
                .filter(change -> change.before().isPresent() || change.after().isPresent())
                .toList();
        return new CardHistory(changes, all.size() == found.size());
    }

    private void write(UUID project, Palette before, Palette after, Map<UUID, UUID> instead) {
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
                .forEach(swatch -> cards.removeSwatch(project, swatch, instead.get(swatch)));
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
            throw new Refusal("This number is taken by something else. Nothing was changed.");
        }
    }
}
