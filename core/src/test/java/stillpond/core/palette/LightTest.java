package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.check.LightCheck;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;

class LightTest {

    private static final Srgb RUST = Srgb.ofHex("#b4552d");
    private static final Srgb MOSS = Srgb.ofHex("#55703a");
    private static final Srgb GREY = Srgb.ofHex("#808080");

    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", RUST);
    private final Swatch scarf = new Swatch(UUID.randomUUID(), "Scarf", MOSS);
    private final Swatch glass = new Swatch(UUID.randomUUID(), "Glass", Srgb.ofHex("#ffe9a8"));
    private final Card girl = new Card(UUID.randomUUID(), "Girl", "", List.of(coat, scarf));
    private final Card lantern = new Card(UUID.randomUUID(), "Lantern", "", List.of(glass));
    private final Palette palette = new Palette(List.of(girl, lantern));

    private static LightRule darker(int by) {
        return new LightRule(BlendMode.NORMAL, GREY, 0, -by, 0, 0, 0);
    }

    private Srgb under(Light light, Swatch swatch) {
        return new LitPalette(palette, light).colourOf(swatch.id()).orElseThrow();
    }

    @Test
    void asDrawnChangesNothing() {
        for (Swatch swatch : List.of(coat, scarf, glass)) {
            assertThat(under(Light.AS_DRAWN, swatch))
                    .isEqualTo(palette.colourOf(swatch.id()).orElseThrow());
        }
    }

    @Test
    void aTintOfFullStrengthIsTheBlendOfTheStandard() {
        Srgb dusk = Srgb.ofHex("#6a5a90");
        LightRule rule = new LightRule(BlendMode.MULTIPLY, dusk, 100, 0, 0, 0, 0);
        assertThat(rule.of(RUST).colour()).isEqualTo(BlendMode.MULTIPLY.blend(RUST, dusk));
    }

    @Test
    void shiftsAreMadeInOklch() {
        Oklch before = Oklch.of(MOSS);
        Oklch after = Oklch.of(new LightRule(BlendMode.NORMAL, GREY, 0, 10, -50, 20, 0)
                .of(MOSS)
                .colour());
        assertThat(after.lightness() - before.lightness()).isBetween(0.095, 0.105);
        assertThat(after.chroma() / before.chroma()).isBetween(0.46, 0.54);
        assertThat(after.hue() - before.hue()).isBetween(18.0, 22.0);
    }

    @Test
    void contrastMovesLightnessAwayFromTheMiddleAndGreysStayGrey() {
        LightRule rule = new LightRule(BlendMode.NORMAL, GREY, 0, 0, 80, 0, 50);
        Srgb dark = rule.of(Srgb.ofHex("#404040")).colour();
        Srgb pale = rule.of(Srgb.ofHex("#b0b0b0")).colour();
        assertThat(dark.red()).isLessThan(0x40).isEqualTo(dark.blue());
        assertThat(pale.red()).isGreaterThan(0xb0).isEqualTo(pale.green());
    }

    @Test
    void exceptionsOfPartsWinOverTheRuleOfTheirCardAndThatOverTheRuleForAll() {
        Srgb flame = Srgb.ofHex("#ffd060");
        Light dusk = new Light(
                "Dusk",
                darker(10),
                Map.of(lantern.id(), darker(30)),
                Map.of(scarf.id(), new Light.Exception.AsDrawn(), glass.id(), new Light.Exception.Fixed(flame)));
        assertThat(under(dusk, coat)).isEqualTo(darker(10).of(RUST).colour());
        assertThat(under(dusk, scarf)).isEqualTo(MOSS);
        assertThat(under(dusk, glass)).isEqualTo(flame);
        Light withoutException = new Light("Dusk", darker(10), Map.of(lantern.id(), darker(30)), Map.of());
        assertThat(under(withoutException, glass))
                .isEqualTo(darker(30).of(Srgb.ofHex("#ffe9a8")).colour());
    }

    @Test
    void itsTextBringsItBack() {
        Light dusk = new Light(
                "Dusk",
                new LightRule(BlendMode.COLOR_BURN, GREY, 35, -8, 12, -170, 5),
                Map.of(girl.id(), darker(3)),
                Map.of(
                        coat.id(),
                        new Light.Exception.AsDrawn(),
                        glass.id(),
                        new Light.Exception.Fixed(Srgb.ofHex("#ffd060"))));
        assertThat(Light.ofText("Dusk", dusk.text())).isEqualTo(dusk);
        assertThatThrownBy(() -> Light.ofText("Dusk", "all multiply #808080 120 0 0 0 0"))
                .hasMessage("The strength of a tint is 0 to 100, not 120.");
        assertThatThrownBy(() -> Light.ofText("Dusk", "moon 3")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Light.named(" ")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Light.named("Late\ndusk"))
                .hasMessage("A light has a name of up to 60 letters, on one line.");
    }

    @Test
    void whatSrgbCannotShowIsTold() {
        Light glare = new Light("Glare", new LightRule(BlendMode.NORMAL, GREY, 0, 0, 100, 0, 0), Map.of(), Map.of());
        assertThat(new LitPalette(palette, glare).outsideGamut()).contains(coat.id());
        assertThat(new LitPalette(palette, Light.AS_DRAWN).outsideGamut()).isEmpty();
    }

    @Test
    void partsThatBecomeHardToTellApartAreTold() {
        LightRule night = new LightRule(BlendMode.NORMAL, Srgb.ofHex("#1c2233"), 98, 0, 0, 0, 0);
        LitPalette lit = new LitPalette(palette, new Light("Night", night, Map.of(), Map.of()));
        List<LightCheck.HardToTell> found = LightCheck.hardToTell(palette, lit, List.of(coat.id(), scarf.id()));
        assertThat(found).hasSize(1);
        assertThat(found.get(0).asDrawn()).isGreaterThan(20);
        assertThat(LightCheck.hardToTell(
                        palette, new LitPalette(palette, Light.AS_DRAWN), List.of(coat.id(), scarf.id())))
                .isEmpty();
    }

    @Test
    void aWardrobeColoursSomePartsSharesTheRestAndWhatIsTiedFollows() {
        Swatch lining = new Swatch(UUID.randomUUID(), "Lining", "", "", new Paint.Tied(coat.id(), new Tie.Shade(30)));
        Card dressed = new Card(girl.id(), "Girl", "", List.of(coat, scarf, lining));
        Palette plain = new Palette(List.of(dressed, lantern));
        Srgb white = Srgb.ofHex("#e8e4dc");
        Wardrobe winter =
                new Wardrobe(UUID.randomUUID(), girl.id(), "Winter", Map.of(coat.id(), white, UUID.randomUUID(), GREY));
        Palette worn = plain.wearing(List.of(winter));
        assertThat(worn.colourOf(coat.id())).contains(white);
        assertThat(worn.colourOf(scarf.id())).contains(MOSS);
        assertThat(worn.colourOf(lining.id())).contains(new Tie.Shade(30).of(white, id -> white));
        assertThat(plain.colourOf(coat.id())).contains(RUST);
    }

    @Test
    void anEarlierStateOfACardComesBackWithoutLosingWhatWasAddedSince() {
        Swatch boots = new Swatch(UUID.randomUUID(), "Boots", GREY);
        Palette later = palette.after(new PaletteEdit.Change(coat.painted(new Paint.Process(MOSS))))
                .after(new PaletteEdit.Add(girl.id(), boots, 0))
                .after(new PaletteEdit.Move(scarf.id(), lantern.id(), 0))
                .after(new PaletteEdit.NameCard(girl.id(), "Woman", ""));
        Palette back = later.after(new PaletteEdit.Restore(girl));
        Card restored = back.card(girl.id()).orElseThrow();
        assertThat(restored.name()).isEqualTo("Girl");
        assertThat(restored.swatches()).containsExactly(coat, scarf, boots);
        assertThat(back.card(lantern.id()).orElseThrow().swatches()).containsExactly(glass);
    }
}
