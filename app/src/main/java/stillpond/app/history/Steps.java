package stillpond.app.history;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.refusal.Refusal;

/** Takes changes back and does them again, whatever they are and in whatever order; what somebody has changed since is left alone. */
@Service
@Transactional
public class Steps {

    private static final String GONE_ON = "Your changes went on elsewhere since; this is shown as it is now.";

    private final History history;
    private final Map<Class<?>, EffectKind<?>> kinds = new HashMap<>();

    Steps(History history, List<EffectKind<?>> kinds) {
        this.history = history;
        kinds.forEach(kind -> this.kinds.put(kind.effects(), kind));
    }

    /** What became of a step. */
    public sealed interface Outcome {}

    /** @param leftAlone what stays, since it was changed since, in words; empty if nothing */
    public record Stepped(Made made, Optional<String> leftAlone) implements Outcome {}

    /** Nothing was changed. @param reason for the user to read */
    public record Refused(String reason) implements Outcome {}

    /** Locks all that steps about some changes may change; to be called before anything else is locked. */
    public void lockFor(UUID project, Collection<UUID> concerned, Collection<UUID> alsoSheets) {
        TreeSet<UUID> sheets = new TreeSet<>(alsoSheets);
        boolean isOfProject = false;
        for (Made last : history.lastSteps(concerned).values()) {
            if (last.project().equals(project)) {
                for (Effect effect : last.effects()) {
                    effect.sheet().ifPresent(sheets::add);
                    isOfProject |= effect.sheet().isEmpty();
                }
            }
        }
        if (isOfProject) {
            history.lockProject(project);
        }
        history.lockSheets(sheets);
    }

    /** What the author would take back next of what is about the whole project. */
    @Transactional(readOnly = true)
    public Optional<Made> next(UUID project, UUID author) {
        return history.lineOf(project, author).undoable().stream().findFirst().flatMap(history::find);
    }

    /**
     * Takes back the author's latest change of those about the whole project.
     *
     * @return what was done, in words
     * @throws Refusal if there is none or it cannot be taken back
     */
    public String undoNext(UUID project, UUID author) {
        UUID change = next(project, author)
                .map(Made::id)
                .orElseThrow(() -> new Refusal("There is no change of yours to take back."));
        return undo(project, author, change);
    }

    /**
     * Takes back any change of the author's. If nothing of it can be, it stands as before, and can be once whoever changed it since has taken that back.
     *
     * @return what was done, in words
     * @throws Refusal if it cannot be taken back
     * @throws java.util.NoSuchElementException if there is no such change
     */
    public String undo(UUID project, UUID author, UUID change) {
        Made made = history.find(change)
                .filter(each -> each.project().equals(project))
                .orElseThrow();
        lockFor(project, List.of(change), List.of());
        Outcome outcome = step(project, author, UUID.randomUUID(), Made.Kind.UNDO, change);
        if (outcome instanceof Refused refused) {
            throw new Refusal(refused.reason());
        }
        Stepped stepped = (Stepped) outcome;
        if (stepped.made().effects().isEmpty() && stepped.leftAlone().isPresent()) {
            throw new Refusal(stepped.leftAlone().get());
        }
        return stepped.leftAlone().map(left -> made.words() + ". " + left).orElse(made.words());
    }

    /**
     * Takes a change back, or does it again. This is a step even if nothing of it can be done, so that whoever goes back step by step comes to what is before
     * it. All that it may change is to be locked; see {@link #lockFor}.
     *
     * @param id of the step
     * @param concerns a change of the author's
     * @throws Refusal if what would be left does not hold together
     */
    public Outcome step(UUID project, UUID author, UUID id, Made.Kind kind, UUID concerns) {
        Optional<Made> concerned = history.find(concerns)
                .filter(made -> made.project().equals(project) && made.kind() == Made.Kind.CHANGE);
        if (concerned.filter(made -> made.author().equals(author)).isEmpty()) {
            return new Refused("There is no such change of yours.");
        }
        Made last = history.lastSteps(List.of(concerns)).get(concerns);
        boolean stands = last.kind() != Made.Kind.UNDO;
        if (stands != (kind == Made.Kind.UNDO)) {
            return new Refused(GONE_ON);
        }
        List<Effect> done = new ArrayList<>();
        int leftAlone = 0;
        List<Effect> backwards = new ArrayList<>(last.effects());
        Collections.reverse(backwards);
        for (Effect effect : backwards) {
            EffectKind.Done each = done(project, author, effect.inverse());
            each.effect().ifPresent(done::add);
            leftAlone += each.leftAlone();
        }
        Made made = history.keepStep(id, author, kind, concerned.orElseThrow(), done);
        return new Stepped(made, words(done.isEmpty(), leftAlone));
    }

    private static Optional<String> words(boolean isNothing, int leftAlone) {
        if (leftAlone == 0) {
            return Optional.empty();
        }
        return Optional.of(
                isNothing
                        ? "Somebody has changed this since, so it stays as it is."
                        : "Somebody has changed part of this since; that part stays as it is.");
    }

    @SuppressWarnings("unchecked")
    private <E extends Effect> EffectKind.Done done(UUID project, UUID author, E effect) {
        return ((EffectKind<E>) kinds.get(effect.getClass())).done(project, author, effect);
    }
}
