package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Srgb;

class PaletteTest {

    private static final Srgb GREEN = Srgb.ofHex("#2f6f5e");
    private static final Srgb RED = Srgb.ofHex("#d2603f");

    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", GREEN);
    private final Swatch lining = tied("Lining", coat, new Tie.Shade(20));
    private final Swatch seam = tied("Seam", lining, new Tie.Shift(-0.05, 0, 0));
    private final Card juniper = new Card(UUID.randomUUID(), "Juniper", "oilskins", List.of(coat, lining, seam));
    private final Palette palette = new Palette(List.of(juniper));

    @Test
    void aChainOfTiesFollowsItsSource() {
        assertThat(palette.colourOf(lining.id())).contains(Mixing.shade(GREEN, 20));
        Palette after = palette.after(new PaletteEdit.Change(coat.painted(new Paint.Process(RED))));
        Srgb linedRed = Mixing.shade(RED, 20);
        assertThat(after.colourOf(lining.id())).contains(linedRed);
        assertThat(after.colourOf(seam.id())).contains(new Tie.Shift(-0.05, 0, 0).of(linedRed, any -> null));
        assertThat(palette.followersOf(coat.id())).containsExactlyInAnyOrder(coat.id(), lining.id(), seam.id());
        assertThat(palette.followersOf(seam.id())).containsExactly(seam.id());
    }

    @Test
    void aCircleIsRefusedWithTheWholeChain() {
        PaletteEdit circle = new PaletteEdit.Change(coat.painted(new Paint.Tied(seam.id(), new Tie.Tint(10))));
        assertThatThrownBy(() -> palette.after(circle))
                .hasMessageContaining("circle")
                .hasMessageContaining("Coat")
                .hasMessageContaining("Lining")
                .hasMessageContaining("Seam");
        PaletteEdit byMix =
                new PaletteEdit.Change(coat.painted(new Paint.Tied(coat.id(), new Tie.Mix(lining.id(), 0.5))));
        assertThatThrownBy(() -> palette.after(byMix)).hasMessageContaining("circle");
    }

    @Test
    void whatFollowedARemovedSwatchKeepsItsColour() {
        Palette after = palette.after(new PaletteEdit.Remove(coat.id()));
        assertThat(after.has(coat.id())).isFalse();
        assertThat(after.colourOf(lining.id())).contains(Mixing.shade(GREEN, 20));
        assertThat(after.colourOf(seam.id())).isEqualTo(palette.colourOf(seam.id()));
        assertThat(after.swatch(lining.id()).orElseThrow().paint()).isInstanceOf(Paint.Process.class);
    }

    @Test
    void swatchesMoveWithinACardAndToAnother() {
        Card bram = new Card(UUID.randomUUID(), "Bram", "", List.of());
        Palette two = palette.after(new PaletteEdit.AddCard(bram));
        Palette moved = two.after(new PaletteEdit.Move(seam.id(), bram.id(), 5))
                .after(new PaletteEdit.Move(lining.id(), juniper.id(), 0));
        assertThat(moved.card(juniper.id()).orElseThrow().swatches()).containsExactly(lining, coat);
        assertThat(moved.card(bram.id()).orElseThrow().swatches()).containsExactly(seam);
        assertThat(moved.colourOf(seam.id())).isEqualTo(palette.colourOf(seam.id()));
    }

    @Test
    void paintsAreWrittenAndReadAgain() {
        for (Paint paint : List.of(
                new Paint.Process(GREEN),
                new Paint.Spot("Signal red 7", RED),
                new Paint.Tied(coat.id(), new Tie.Tint(12.5)),
                new Paint.Tied(coat.id(), new Tie.Shift(0.1, -0.02, 340)),
                new Paint.Tied(coat.id(), new Tie.Mix(seam.id(), 0.3)))) {
            assertThat(Paint.ofText(paint.text())).isEqualTo(paint);
        }
        assertThatThrownBy(() -> Tie.ofText("shade")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Tie.ofText("shade 120")).hasMessageContaining("0 to 100");
    }

    /** The tie between two colours leads from the one to the other. */
    @Test
    void aShiftBetweenTwoColoursLeadsThere() {
        Tie.Shift shift = Tie.Shift.between(GREEN, RED);
        Srgb reached = shift.of(GREEN, any -> null);
        assertThat(Ciede2000.between(reached, RED)).isLessThan(0.5);
    }

    private static Swatch tied(String name, Swatch source, Tie tie) {
        return new Swatch(UUID.randomUUID(), name, "", "", new Paint.Tied(source.id(), tie));
    }
}
