package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class NearSwatchesTest {

    private static final Swatch COAT = new Swatch(new UUID(0, 1), "Coat", Srgb.ofHex("#2f6f5e"));
    private static final Swatch SAME = new Swatch(new UUID(0, 2), "Sleeve", Srgb.ofHex("#2f6f5e"));
    private static final Swatch NEAR = new Swatch(new UUID(0, 3), "Loose", Srgb.ofHex("#31715f"));
    private static final Swatch FAR = new Swatch(new UUID(0, 4), "Scarf", Srgb.ofHex("#d2603f"));
    private static final Palette PALETTE =
            new Palette(List.of(new Card(new UUID(0, 9), "Juniper", "", List.of(FAR, NEAR, SAME, COAT))));

    @Test
    void theSwatchItselfComesFirstThenItsTwinsNearestFirst() {
        assertThat(NearSwatches.of(PALETTE, COAT.id(), 2.3)).containsExactly(COAT.id(), SAME.id(), NEAR.id());
        assertThat(NearSwatches.of(PALETTE, COAT.id(), 0)).containsExactly(COAT.id(), SAME.id());
    }

    @Test
    void aSwatchThatIsGoneIsNotLookedFor() {
        assertThatThrownBy(() -> NearSwatches.of(PALETTE, new UUID(0, 7), 2))
                .hasMessageContaining("on no card any more");
    }
}
