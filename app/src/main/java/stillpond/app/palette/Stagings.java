package stillpond.app.palette;

import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.palette.Staging;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The lights and wardrobes of each project and where they are used: every change is one row of a log and can be taken back by whoever made it. */
@Service
@Transactional
public class Stagings {

    private static final TypeReference<TreeMap<String, String>> ENTRIES = new TypeReference<>() {};

    private final StagingRepository stored;
    private final CardRepository cards;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;
    private final Clock clock;

    Stagings(
            StagingRepository stored,
            CardRepository cards,
            ApplicationEventPublisher events,
            JsonMapper json,
            Clock clock) {
        this.stored = stored;
        this.cards = cards;
        this.events = events;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public Staging of(UUID project) {
        return new Staging(stored.entries(project));
    }

    /** As it was at a moment. */
    @Transactional(readOnly = true)
    public Staging at(UUID project, Instant moment) {
        Map<String, String> entries = new HashMap<>(stored.entries(project));
        for (StagingRepository.Step step : stored.stepsSince(project, moment)) {
            put(entries, read(step.from()), read(step.to()));
        }
        return new Staging(entries);
    }

    /** Changes it without a step to undo: for what a project begins with. */
    public void begin(UUID project, UnaryOperator<Staging> by) {
        cards.lock(project);
        Map<String, String> before = of(project).entries();
        write(project, before, by.apply(new Staging(before)).entries());
    }

    /**
     * Changes it, as one step.
     *
     * @param words what is done, for the history
     * @throws IllegalArgumentException with a message for the user; then nothing is changed
     */
    public void change(UUID project, UUID author, String words, UnaryOperator<Staging> by) {
        cards.lock(project);
        Map<String, String> before = of(project).entries();
        Map<String, String> after = by.apply(new Staging(before)).entries();
        if (before.equals(after)) {
            return;
        }
        stored.log(
                new StagingRepository.Change(UUID.randomUUID(), words),
                project,
                author,
                clock.instant(),
                json.writeValueAsString(different(before, after)),
                json.writeValueAsString(different(after, before)));
        write(project, before, after);
        events.publishEvent(new PaletteChanged(project, author));
    }

    /** What was done and stands, latest first, at the most so many. */
    @Transactional(readOnly = true)
    public List<Palettes.Done> done(UUID project, int most) {
        return stored.done(project, most);
    }

    /**
     * Takes the author's latest change back.
     *
     * @return what it was, in words
     * @throws IllegalArgumentException if there is none, or the same was changed again since
     */
    public String undo(UUID project, UUID author) {
        cards.lock(project);
        StagingRepository.Change change = stored.latest(project, author)
                .orElseThrow(() -> new IllegalArgumentException("There is no change of yours to take back."));
        StagingRepository.Step step = stored.step(change.id());
        Map<String, String> before = of(project).entries();
        Map<String, String> made = read(step.from());
        if (made.entrySet().stream().anyMatch(each -> !each.getValue().equals(before.get(each.getKey())))) {
            throw new IllegalArgumentException(
                    "Somebody has changed this since, so your change cannot simply be taken back.");
        }
        Map<String, String> after = new HashMap<>(before);
        put(after, made, read(step.to()));
        stored.undone(change.id(), clock.instant());
        write(project, before, after);
        events.publishEvent(new PaletteChanged(project, author));
        return change.words();
    }

    private static void put(Map<String, String> entries, Map<String, String> from, Map<String, String> to) {
        entries.keySet().removeAll(from.keySet());
        entries.putAll(to);
    }

    private Map<String, String> read(String text) {
        return json.readValue(text, ENTRIES);
    }

    private static Map<String, String> different(Map<String, String> entries, Map<String, String> others) {
        Map<String, String> different = new TreeMap<>(entries);
        different.entrySet().removeIf(each -> Objects.equals(each.getValue(), others.get(each.getKey())));
        return different;
    }

    private void write(UUID project, Map<String, String> before, Map<String, String> after) {
        List<String> gone =
                before.keySet().stream().filter(key -> !after.containsKey(key)).toList();
        stored.remove(project, gone);
        different(after, before).forEach((key, value) -> stored.put(project, key, value));
    }
}
