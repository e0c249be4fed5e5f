package stillpond.core.ledger;

import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** The swatches that somebody who looks for one may mean as well. */
public final class NearSwatches {

    private NearSwatches() {}

    /**
     * A swatch itself, then those near to it, nearest first.
     *
     * @param within CIEDE2000 difference, inclusive; 0: only those of the very same colour
     * @throws Refusal if the palette has no such swatch
     */
    public static List<UUID> of(Palette palette, UUID swatch, double within) {
        Srgb wanted = palette.colourOf(swatch).orElseThrow(() -> new Refusal("This swatch is on no card any more."));
        return palette.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .map(Swatch::id)
                .filter(each -> difference(palette, wanted, each) <= within)
                .sorted(Comparator.comparing((UUID each) -> !each.equals(swatch))
                        .thenComparingDouble(each -> difference(palette, wanted, each)))
                .toList();
    }

    private static double difference(Palette palette, Srgb wanted, UUID each) {
        return Ciede2000.between(wanted, palette.colourOf(each).orElseThrow());
    }
}
