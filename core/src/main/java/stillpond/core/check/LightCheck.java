package stillpond.core.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;
import stillpond.core.ledger.NearTwins;
import stillpond.core.palette.LitPalette;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** What a light does to a palette that somebody should look at. */
public final class LightCheck {

    private LightCheck() {}

    /** Two parts that can be told apart as drawn, and hardly any more under the light; as CIEDE2000 differences. */
    public record HardToTell(UUID first, UUID second, double asDrawn, double lit) {}

    /**
     * The pairs that have become hard to tell apart, nearest first; the two in the order of the cards.
     *
     * @param swatches that matter, such as those worn in a scene
     */
    public static List<HardToTell> hardToTell(Palette palette, LitPalette lit, Collection<UUID> swatches) {
        List<UUID> there = palette.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .map(Swatch::id)
                .filter(swatches::contains)
                .toList();
        List<Srgb> colours =
                there.stream().map(lit::colourOf).map(Optional::orElseThrow).toList();
        List<HardToTell> found = new ArrayList<>();
        for (NearTwins.Pair pair : NearTwins.among(colours, Ciede2000.HARD_TO_TELL)) {
            UUID first = there.get(pair.first());
            UUID second = there.get(pair.second());
            double asDrawn = Ciede2000.between(
                    palette.colourOf(first).orElseThrow(),
                    palette.colourOf(second).orElseThrow());
            if (asDrawn > Ciede2000.HARD_TO_TELL) {
                found.add(new HardToTell(first, second, asDrawn, pair.difference()));
            }
        }
        return found.stream()
                .sorted(Comparator.comparingDouble(HardToTell::lit))
                .toList();
    }
}
