package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class FillNamesTest {

    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private final Palette palette = new Palette(List.of(new Card(UUID.randomUUID(), "Juniper", "test", List.of(coat))));

    @Test
    void aFillIsCalledAfterItsSwatch() {
        assertThat(FillNames.of(Fill.flat(coat.id()), palette)).isEqualTo("Coat");
    }

    /** A fill may be taken back while somebody asks what is wrong with it. */
    @Test
    void whatWearsNothingHasAName() {
        assertThat(FillNames.of(Fill.NONE, palette)).isEqualTo("No fill");
    }

    @Test
    void whatWasRemovedIsSaidToBe() {
        assertThat(FillNames.of(Fill.flat(UUID.randomUUID()), palette)).isEqualTo("A removed swatch");
    }
}
