package stillpond.core.palette;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/**
 * How the cards of a project appear on its scenes and sheets: its lights and wardrobes, and where each is used; and the gradients and patterns that are kept on cards. A sheet follows its scene in everything that it
 * does not settle itself. Whatever speaks of a light or wardrobe that is gone counts for nothing.
 */
public final class Staging {

    private static final String LIGHT = "light ";
    private static final String WARDROBE = "wardrobe ";
    private static final String KEPT = "kept ";
    private static final String LIGHT_OF = "light-of ";
    private static final String WORN_ON = "worn-on ";
    /** The light that changes nothing, and the wardrobe that is the card itself. */
    private static final String PLAIN = "plain";

    private static final String FOLLOW = "follow";

    private final Map<String, String> entries;

    /** @param entries as {@link #entries} gave them */
    public Staging(Map<String, String> entries) {
        this.entries = new TreeMap<>(entries);
    }

    /**
     * A gradient or a pattern that is kept on a card, to be worn like a swatch.
     *
     * @param fill its text; see {@code stillpond.core.fill.Fill}
     */
    public record KeptFill(UUID id, String name, UUID card, String fill) {

        public static final int LONGEST_NAME = 60;
        public static final int MOST = 200;

        public KeptFill {
            name = name.strip();
            if (name.isEmpty() || name.length() > LONGEST_NAME || name.indexOf('\n') >= 0) {
                throw new Refusal("What is kept on a card has a name of 1 to " + LONGEST_NAME + " letters.");
            }
        }
    }

    /** By name. */
    public List<KeptFill> kept() {
        return entries.keySet().stream()
                .filter(key -> key.startsWith(KEPT))
                .map(key -> kept(UUID.fromString(key.substring(KEPT.length()))).orElseThrow())
                .sorted(Comparator.comparing(KeptFill::name))
                .toList();
    }

    public Optional<KeptFill> kept(UUID id) {
        return Optional.ofNullable(entries.get(KEPT + id)).map(text -> {
            String[] lines = text.split("\n", 3);
            return new KeptFill(id, lines[0], UUID.fromString(lines[1]), lines[2]);
        });
    }

    /** @throws Refusal if there are too many */
    public Staging with(KeptFill kept) {
        Staging more = put(KEPT + kept.id(), kept.name() + "\n" + kept.card() + "\n" + kept.fill());
        if (more.kept().size() > KeptFill.MOST) {
            throw new Refusal("A project keeps up to " + KeptFill.MOST + " gradients and patterns.");
        }
        return more;
    }

    public Staging withoutKept(UUID id) {
        return without(KEPT + id, id);
    }

    /** A light with the id by which scenes name it. */
    public record NamedLight(UUID id, Light light) {}

    /** What a scene or sheet says about its light, or what one of its cards wears. */
    public sealed interface Choice {

        /** Nothing: as before it. */
        record Follow() implements Choice {}

        /** As drawn; or the card itself. */
        record Plain() implements Choice {}

        /** That light; or that wardrobe. */
        record Named(UUID id) implements Choice {}

        /** What counts where this is said within a place that says another: nothing said at all is plain. */
        default Choice within(Choice around) {
            Choice counts = this instanceof Follow ? around : this;
            return counts instanceof Follow ? new Plain() : counts;
        }

        /** {@code follow}, {@code plain} or an id; {@link #ofText} reads it. */
        default String text() {
            return this instanceof Named named ? named.id().toString() : this instanceof Plain ? PLAIN : FOLLOW;
        }

        /** Reads {@code follow}, {@code plain} or an id. */
        static Choice ofText(String text) {
            return switch (text) {
                case FOLLOW -> new Follow();
                case PLAIN -> new Plain();
                default ->
                    new Named(Refusal.unlessRead(
                            "'" + text + "' names no light and no wardrobe.", () -> UUID.fromString(text)));
            };
        }
    }

    /** The form that is stored: a text under each key. */
    public Map<String, String> entries() {
        return Map.copyOf(entries);
    }

    /** By name. */
    public List<NamedLight> lights() {
        return entries.keySet().stream()
                .filter(key -> key.startsWith(LIGHT))
                .map(key -> UUID.fromString(key.substring(LIGHT.length())))
                .map(id -> new NamedLight(id, light(id).orElseThrow()))
                .sorted(Comparator.comparing(each -> each.light().name()))
                .toList();
    }

    public Optional<Light> light(UUID id) {
        return Optional.ofNullable(entries.get(LIGHT + id)).map(text -> {
            String[] lines = text.split("\n", 2);
            return Light.ofText(lines[0], lines[1]);
        });
    }

    /** By name. */
    public List<Wardrobe> wardrobes(UUID card) {
        return wardrobes().stream()
                .filter(each -> each.card().equals(card))
                .sorted(Comparator.comparing(Wardrobe::name))
                .toList();
    }

    public Optional<Wardrobe> wardrobe(UUID id) {
        return Optional.ofNullable(entries.get(WARDROBE + id)).map(text -> wardrobe(id, text));
    }

    private List<Wardrobe> wardrobes() {
        return entries.keySet().stream()
                .filter(key -> key.startsWith(WARDROBE))
                .map(key -> UUID.fromString(key.substring(WARDROBE.length())))
                .map(id -> wardrobe(id).orElseThrow())
                .toList();
    }

    /** What a scene or sheet says about its own light. */
    public Choice lightOf(UUID place) {
        return choice(LIGHT_OF + place);
    }

    /** What a scene or sheet says about what a card wears there. */
    public Choice wornOn(UUID place, UUID card) {
        return choice(WORN_ON + place + " " + card);
    }

    /** The id of the light on a sheet; empty for as drawn. */
    public Optional<UUID> lightOn(UUID scene, UUID sheet) {
        return settled(lightOf(sheet), lightOf(scene)).filter(id -> entries.containsKey(LIGHT + id));
    }

    /** The light on a sheet. */
    public Light lit(UUID scene, UUID sheet) {
        return lightOn(scene, sheet).flatMap(this::light).orElse(Light.AS_DRAWN);
    }

    /** The wardrobes worn on a sheet. */
    public List<Wardrobe> worn(UUID scene, UUID sheet) {
        return wardrobes().stream()
                .filter(each -> settled(wornOn(sheet, each.card()), wornOn(scene, each.card()))
                        .filter(each.id()::equals)
                        .isPresent())
                .toList();
    }

    private static Optional<UUID> settled(Choice own, Choice before) {
        return own.within(before) instanceof Choice.Named named ? Optional.of(named.id()) : Optional.empty();
    }

    public Staging with(UUID id, Light light) {
        return put(LIGHT + id, light.name() + "\n" + light.text());
    }

    public Staging with(Wardrobe wardrobe) {
        String colours = wardrobe.colours().entrySet().stream()
                .map(each -> each.getKey() + " " + each.getValue().hex())
                .collect(Collectors.joining("; "));
        return put(WARDROBE + wardrobe.id(), wardrobe.name() + "\n" + wardrobe.card() + "\n" + colours);
    }

    public Staging withoutLight(UUID id) {
        return without(LIGHT + id, id);
    }

    public Staging withoutWardrobe(UUID id) {
        return without(WARDROBE + id, id);
    }

    public Staging lighting(UUID place, Choice choice) {
        return put(LIGHT_OF + place, choice);
    }

    public Staging dressing(UUID place, UUID card, Choice choice) {
        return put(WORN_ON + place + " " + card, choice);
    }

    private Choice choice(String key) {
        return Choice.ofText(entries.getOrDefault(key, FOLLOW));
    }

    private static Wardrobe wardrobe(UUID id, String text) {
        List<String> lines = List.of(text.split("\n", 3));
        Map<UUID, Srgb> colours = new TreeMap<>();
        for (String each : lines.get(2).isEmpty() ? new String[0] : lines.get(2).split("; ")) {
            String[] words = each.split(" ");
            colours.put(UUID.fromString(words[0]), Srgb.ofHex(words[1]));
        }
        return new Wardrobe(id, UUID.fromString(lines.get(1)), lines.get(0), colours);
    }

    private Staging put(String key, Choice choice) {
        if (choice instanceof Choice.Follow) {
            Map<String, String> fewer = new TreeMap<>(entries);
            fewer.remove(key);
            return new Staging(fewer);
        }
        return put(key, choice.text());
    }

    private Staging put(String key, String value) {
        Map<String, String> more = new TreeMap<>(entries);
        more.put(key, value);
        return new Staging(more);
    }

    /** Without an entry, and without those that name it. */
    private Staging without(String key, UUID id) {
        Map<String, String> fewer = new TreeMap<>(entries);
        fewer.remove(key);
        fewer.values().removeIf(id.toString()::equals);
        return new Staging(fewer);
    }
}
