package stillpond.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Sheet;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Staging;
import stillpond.core.palette.Wardrobe;

/**
 * A scene as its page shows it.
 *
 * @param lights all of the project
 * @param light what the scene itself says
 * @param wardrobes for each card that has some, what the scene says
 */
record SceneStage(
        UUID id,
        String title,
        List<Staging.NamedLight> lights,
        String light,
        List<Dress> wardrobes,
        List<OnSheet> sheets,
        List<Member> cast) {

    private static final String FOLLOW = "follow";
    private static final String PLAIN = "plain";

    /** Something that can be chosen, as a picture. @param query of the small picture that shows it */
    record Option(String value, String name, String query) {}

    /** What a card wears somewhere: {@code follow}, {@code plain} or the id of a wardrobe. */
    record Dress(UUID card, String name, List<Wardrobe> wardrobes, String worn) {

        public List<Option> forScene() {
            List<Option> options = new ArrayList<>();
            options.add(new Option(FOLLOW, "what the card says", "wear=" + card + ":" + PLAIN));
            options.addAll(own());
            return options;
        }

        /** @param ofScene what the scene says of the card */
        public List<Option> forSheet(String ofScene) {
            List<Option> options = new ArrayList<>();
            options.add(new Option(FOLLOW, "as the scene", "wear=" + card + ":" + orPlain(ofScene)));
            options.add(new Option(PLAIN, "what the card says", "wear=" + card + ":" + PLAIN));
            options.addAll(own());
            return options;
        }

        private List<Option> own() {
            return wardrobes.stream()
                    .map(each -> new Option(each.id().toString(), each.name(), "wear=" + card + ":" + each.id()))
                    .toList();
        }
    }

    public List<Option> lightsForScene() {
        List<Option> options = new ArrayList<>();
        options.add(new Option(FOLLOW, "as drawn", "light=" + PLAIN));
        options.addAll(ownLights());
        return options;
    }

    public List<Option> lightsForSheet() {
        List<Option> options = new ArrayList<>();
        options.add(new Option(FOLLOW, "as the scene", "light=" + orPlain(light)));
        options.add(new Option(PLAIN, "as drawn", "light=" + PLAIN));
        options.addAll(ownLights());
        return options;
    }

    private List<Option> ownLights() {
        return lights.stream()
                .map(each -> new Option(each.id().toString(), each.light().name(), "light=" + each.id()))
                .toList();
    }

    private static String orPlain(String said) {
        return said.equals(FOLLOW) ? PLAIN : said;
    }

    /** What the scene says that a card wears. */
    public String wornInScene(UUID card) {
        return wardrobes.stream()
                .filter(dress -> dress.card().equals(card))
                .map(Dress::worn)
                .findFirst()
                .orElse(FOLLOW);
    }

    /** The first sheet with somebody on it, or else the first. */
    public UUID sheetWith(UUID card) {
        return sheets.stream()
                .filter(sheet -> sheet.wardrobes().stream()
                        .anyMatch(dress -> dress.card().equals(card)))
                .findFirst()
                .orElse(sheets.get(0))
                .id();
    }

    /** A card of the project. */
    record Member(UUID card, String name) {}

    /**
     * One sheet.
     *
     * @param wardrobes of those who are on it
     * @param present everybody on it, by name
     * @param said the cards of those who were said to be
     */
    record OnSheet(UUID id, String title, String light, List<Dress> wardrobes, List<String> present, List<UUID> said) {}

    static SceneStage of(
            Scene scene,
            List<Sheet> sheets,
            Palette palette,
            Staging staging,
            Map<UUID, List<UUID>> cast,
            Function<UUID, List<UUID>> said) {
        return new SceneStage(
                scene.id(),
                scene.title(),
                staging.lights(),
                text(staging.lightOf(scene.id())),
                dresses(palette, staging, scene.id()),
                sheets.stream()
                        .map(sheet -> new OnSheet(
                                sheet.id(),
                                sheet.title(),
                                text(staging.lightOf(sheet.id())),
                                dresses(palette, staging, sheet.id()).stream()
                                        .filter(dress -> !dress.worn().equals(FOLLOW)
                                                || cast.getOrDefault(sheet.id(), List.of())
                                                        .contains(dress.card()))
                                        .toList(),
                                names(palette, cast.getOrDefault(sheet.id(), List.of())),
                                said.apply(sheet.id())))
                        .toList(),
                palette.cards().stream()
                        .filter(card -> card.kind() == Card.Kind.CAST)
                        .map(card -> new Member(card.id(), card.name()))
                        .toList());
    }

    private static List<Dress> dresses(Palette palette, Staging staging, UUID place) {
        return palette.cards().stream()
                .filter(card -> !staging.wardrobes(card.id()).isEmpty())
                .map(card -> new Dress(
                        card.id(), card.name(), staging.wardrobes(card.id()), text(staging.wornOn(place, card.id()))))
                .toList();
    }

    private static List<String> names(Palette palette, List<UUID> cards) {
        return cards.stream()
                .flatMap(card -> palette.card(card).stream())
                .map(Card::name)
                .toList();
    }

    private static String text(Staging.Choice choice) {
        return choice instanceof Staging.Choice.Named named
                ? named.id().toString()
                : choice instanceof Staging.Choice.Plain ? PLAIN : FOLLOW;
    }
}
