package stillpond.app.palette;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.history.Reversal;
import stillpond.core.palette.Staging;

/** The lights and wardrobes of each project, and where they are used. */
@Service
@Transactional
public class Stagings implements EffectKind<Effect.Staged> {

    private final StagedRepository stored;
    private final History history;

    Stagings(StagedRepository stored, History history) {
        this.stored = stored;
        this.history = history;
    }

    @Transactional(readOnly = true)
    public Staging of(UUID project) {
        return new Staging(entries(project));
    }

    /** As it was at a moment. */
    @Transactional(readOnly = true)
    public Staging at(UUID project, Instant moment) {
        Map<String, String> entries = new HashMap<>(entries(project));
        for (Effect effect : history.ofProjectSince(project, moment)) {
            if (effect instanceof Effect.Staged staged) {
                entries.keySet().removeAll(staged.after().keySet());
                entries.putAll(staged.before());
            }
        }
        return new Staging(entries);
    }

    /** Changes it without a step to undo: for what a project begins with. */
    public void begin(UUID project, UnaryOperator<Staging> by) {
        stage(project, by);
    }

    /**
     * Changes it, as one change; nothing is kept if it is the same after it.
     *
     * @param words what is done, for the history
     * @throws Refusal; then nothing is changed
     */
    public void change(UUID project, UUID author, String words, UnaryOperator<Staging> by) {
        stage(project, by).ifPresent(effect -> history.keep(project, author, words, List.of(effect)));
    }

    /**
     * Changes it as a part of a change that the caller keeps; no sheet is locked yet, or the project is.
     *
     * @return empty if it is the same after it
     * @throws Refusal; then nothing is changed
     */
    public Optional<Effect.Staged> stage(UUID project, UnaryOperator<Staging> by) {
        history.lockProject(project);
        Map<String, String> before = of(project).entries();
        return write(project, before, by.apply(new Staging(before)).entries());
    }

    @Override
    public Class<Effect.Staged> effects() {
        return Effect.Staged.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Staged effect) {
        Map<String, String> now = of(project).entries();
        Reversal<String, String> back = Reversal.of(now, effect.after(), effect.before());
        return new Done(
                write(project, now, back.entries()).map(done -> done),
                back.leftAlone().size());
    }

    private Optional<Effect.Staged> write(UUID project, Map<String, String> before, Map<String, String> after) {
        Effect.Staged effect = new Effect.Staged(different(before, after), different(after, before));
        if (effect.before().isEmpty() && effect.after().isEmpty()) {
            return Optional.empty();
        }
        stored.deleteAllById(before.keySet().stream()
                .filter(key -> !after.containsKey(key))
                .map(key -> new StagedEntry.Key(project, key))
                .toList());
        stored.saveAll(effect.after().entrySet().stream()
                .map(each -> new StagedEntry(project, each.getKey(), each.getValue()))
                .toList());
        return Optional.of(effect);
    }

    private Map<String, String> entries(UUID project) {
        return stored.findByIdProjectId(project).stream()
                .collect(Collectors.toMap(StagedEntry::key, StagedEntry::value));
    }

    private static Map<String, String> different(Map<String, String> entries, Map<String, String> others) {
        Map<String, String> different = new TreeMap<>(entries);
        different.entrySet().removeIf(each -> Objects.equals(each.getValue(), others.get(each.getKey())));
        return different;
    }
}
