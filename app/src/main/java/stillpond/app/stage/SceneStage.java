package stillpond.app.stage;

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

    /** What a card wears somewhere: {@code follow}, {@code plain} or the id of a wardrobe. */
    record Dress(UUID card, String name, List<Wardrobe> wardrobes, String worn) {}

    /** A card of the project. */
    record Member(UUID card, String name) {}

    /**
     * One sheet.
     *
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
                                dresses(palette, staging, sheet.id()),
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
                : choice instanceof Staging.Choice.Plain ? "plain" : "follow";
    }
}
