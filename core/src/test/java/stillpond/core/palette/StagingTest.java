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

class StagingTest {

    private final UUID scene = UUID.randomUUID();
    private final UUID sheet = UUID.randomUUID();
    private final UUID card = UUID.randomUUID();
    private final UUID coat = UUID.randomUUID();
    private final UUID dusk = UUID.randomUUID();
    private final Light blue = new Light("Dusk", LightRule.ofText("multiply #6a5a90 60 -4 0 0 0"), Map.of(), Map.of());
    private final Wardrobe winter =
            new Wardrobe(UUID.randomUUID(), card, "Winter", Map.of(coat, Srgb.ofHex("#d9d4c8")));
    private final Staging empty = new Staging(Map.of());

    @Test
    void withoutAWordEverythingIsAsDrawn() {
        assertThat(empty.lit(scene, sheet)).isEqualTo(Light.AS_DRAWN);
        assertThat(empty.worn(scene, sheet)).isEmpty();
    }

    @Test
    void aSheetFollowsItsSceneUntilItSaysOtherwise() {
        Staging lit = empty.with(dusk, blue)
                .with(winter)
                .lighting(scene, new Choice.Named(dusk))
                .dressing(scene, card, new Choice.Named(winter.id()));
        assertThat(lit.lit(scene, sheet)).isEqualTo(blue);
        assertThat(lit.worn(scene, sheet)).containsExactly(winter);
        Staging apart = lit.lighting(sheet, new Choice.Plain()).dressing(sheet, card, new Choice.Plain());
        assertThat(apart.lit(scene, sheet)).isEqualTo(Light.AS_DRAWN);
        assertThat(apart.worn(scene, sheet)).isEmpty();
        assertThat(apart.lit(scene, UUID.randomUUID())).isEqualTo(blue);
        Staging back = apart.lighting(sheet, new Choice.Follow()).dressing(sheet, card, new Choice.Follow());
        assertThat(back.entries()).isEqualTo(lit.entries());
    }

    @Test
    void whatIsRemovedIsTakenOffEverySheet() {
        Staging lit = empty.with(dusk, blue)
                .with(winter)
                .lighting(scene, new Choice.Named(dusk))
                .dressing(sheet, card, new Choice.Named(winter.id()));
        Staging gone = lit.withoutLight(dusk).withoutWardrobe(winter.id());
        assertThat(gone.entries()).isEmpty();
    }

    @Test
    void itsEntriesBringItBack() {
        Wardrobe plain = new Wardrobe(UUID.randomUUID(), card, "Bare", Map.of());
        Staging lit = empty.with(dusk, blue).with(winter).with(plain).lighting(sheet, new Choice.Named(dusk));
        Staging back = new Staging(lit.entries());
        assertThat(back.light(dusk)).contains(blue);
        assertThat(back.wardrobes(card)).isEqualTo(List.of(plain, winter));
        assertThat(back.lightOf(sheet)).isEqualTo(new Choice.Named(dusk));
        assertThat(back.lightOf(scene)).isEqualTo(new Choice.Follow());
    }

    @Test
    void fillsAreKeptOnCardsByName() {
        UUID card = UUID.randomUUID();
        Staging.KeptFill sky = new Staging.KeptFill(UUID.randomUUID(), "Sky", card, "linear 100% 0 0 1 0");
        Staging.KeptFill mud = new Staging.KeptFill(UUID.randomUUID(), "Mud", card, "pattern");
        Staging both = new Staging(new Staging(Map.of()).with(sky).with(mud).entries());
        assertThat(both.kept()).containsExactly(mud, sky);
        assertThat(both.withoutKept(mud.id()).kept()).containsExactly(sky);
        assertThatThrownBy(() -> new Staging.KeptFill(sky.id(), "two\nlines", card, ""))
                .isInstanceOf(Refusal.class);
    }
}
