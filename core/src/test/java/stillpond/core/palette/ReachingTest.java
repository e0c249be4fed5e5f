package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Staging.Choice;
import stillpond.core.refusal.Refusal;

class ReachingTest {

    private static final Srgb BLUE = Srgb.ofHex("#3a5a9c");

    private final UUID scene = UUID.randomUUID();
    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private final Swatch bag = new Swatch(UUID.randomUUID(), "Bag", Srgb.ofHex("#b8864a"));
    private final Card card = new Card(UUID.randomUUID(), "Juniper", "", List.of(coat, bag));
    private final Wardrobe winter =
            new Wardrobe(UUID.randomUUID(), card.id(), "Winter", Map.of(coat.id(), Srgb.ofHex("#d9d4c8")));
    private final UUID dusk = UUID.randomUUID();
    private final Staging staging = new Staging(Map.of()).with(winter).with(dusk, Light.named("Dusk"));
    private final Reaching.Place first = place();
    private final Reaching.Place second = place();
    private final Reaching.Place third = place();

    private Reaching.Place place() {
        return new Reaching.Place(scene, UUID.randomUUID());
    }

    private List<Wardrobe> worn(Staging staging, Reaching.Place place) {
        return staging.worn(place.scene(), place.sheet());
    }

    @Test
    void fromOnePageOnSheWearsTheWardrobeAndBeforeItNot() {
        Staging after =
                new Reaching.Wearing(card.id(), new Choice.Named(winter.id())).on(staging, List.of(second, third));
        assertThat(worn(after, first)).isEmpty();
        assertThat(worn(after, second)).containsExactly(winter);
        assertThat(worn(after, third)).containsExactly(winter);
    }

    @Test
    void aSheetCanGoBackToTheCardWhileItsSceneWearsTheWardrobe() {
        Staging dressed = staging.dressing(scene, card.id(), new Choice.Named(winter.id()));
        Staging after = new Reaching.Wearing(card.id(), new Choice.Plain()).on(dressed, List.of(second));
        assertThat(worn(after, first)).containsExactly(winter);
        assertThat(worn(after, second)).isEmpty();
    }

    @Test
    void theLightReachesTheseSheetsOnly() {
        Staging after = new Reaching.Lighting(new Choice.Named(dusk)).on(staging, List.of(third));
        assertThat(after.lightOn(scene, second.sheet())).isEmpty();
        assertThat(after.lightOn(scene, third.sheet())).contains(dusk);
    }

    @Test
    void anotherColourIsAddedToWhatIsWornOnEachSheetAlready() {
        Staging dressed = staging.dressing(first.sheet(), card.id(), new Choice.Named(winter.id()));
        Staging after =
                new Reaching.Colouring(card.id(), bag.id(), BLUE, "Blue bag").on(dressed, List.of(first, second));
        assertThat(worn(after, first)).singleElement().satisfies(each -> {
            assertThat(each.name()).isEqualTo("Winter, Blue bag");
            assertThat(each.colours()).containsEntry(bag.id(), BLUE).containsKey(coat.id());
        });
        assertThat(worn(after, second)).singleElement().satisfies(each -> {
            assertThat(each.name()).isEqualTo("Blue bag");
            assertThat(each.colours()).containsOnly(Map.entry(bag.id(), BLUE));
        });
        assertThat(worn(after, third)).isEmpty();
    }

    @Test
    void theSameColourLaterIsTheSameWardrobe() {
        Reaching blue = new Reaching.Colouring(card.id(), bag.id(), BLUE, "Blue bag");
        Staging after = blue.on(blue.on(staging, List.of(second)), List.of(third));
        assertThat(after.wardrobes(card.id())).hasSize(2);
        assertThat(worn(after, third)).isEqualTo(worn(after, second));
    }

    @Test
    void whatIsNotThereIsRefused() {
        assertThatThrownBy(() -> new Reaching.Wearing(card.id(), new Choice.Named(UUID.randomUUID()))
                        .on(staging, List.of(first)))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Reaching.Lighting(new Choice.Named(UUID.randomUUID())).on(staging, List.of(first)))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void turnsAreToldWhereTheyAre() {
        Staging after = new Reaching.Lighting(new Choice.Named(dusk))
                .on(
                        new Reaching.Wearing(card.id(), new Choice.Named(winter.id())).on(staging, List.of(second)),
                        List.of(second, third));
        assertThat(Turns.between(after, first, second, List.of(card))).containsExactly("light Dusk", "Juniper: Winter");
        assertThat(Turns.between(after, second, third, List.of(card))).containsExactly("Juniper: as on the card");
        assertThat(Turns.between(after, first, first, List.of(card))).isEmpty();
    }
}
