package stillpond.core.ledger;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** What fills are called, after the swatches that they wear. */
public final class FillNames {

    private static final String REMOVED = "A removed swatch";

    private FillNames() {}

    /** By the names of its swatches: "Coat", "Coat at 40 %", "Dusk to Sea", "tide in Sea", or "No fill". */
    public static String of(Fill fill, Palette palette) {
        List<UUID> swatches = fill.swatches();
        if (swatches.isEmpty()) {
            return "No fill";
        }
        String first = swatch(swatches.get(0), palette);
        if (fill instanceof Fill.Tone tone) {
            return first + " at " + tone.percent() + " %";
        }
        if (fill instanceof Fill.Flat flat && flat.opacity().percent() < 100) {
            return first + " at " + flat.opacity().percent() + " % opacity";
        }
        if (fill instanceof Fill.Gradient) {
            return first + " to " + swatch(swatches.get(swatches.size() - 1), palette);
        }
        return fill instanceof Fill.Pattern pattern ? motif(pattern) + " in " + first : first;
    }

    /** Motifs of our own are called by their names, those that were brought by their numbers. */
    private static String motif(Fill.Pattern pattern) {
        return pattern.motif().indexOf('-') < 0 ? pattern.motif() : "pattern";
    }

    private static String swatch(UUID id, Palette palette) {
        return palette.swatch(id).map(Swatch::name).orElse(REMOVED);
    }

    /** The same with the card of its first swatch: "Juniper, Coat". */
    public static String withCard(Fill fill, Palette palette) {
        return card(fill.swatches().get(0), palette)
                .map(card -> card.name() + ", " + of(fill, palette))
                .orElse(of(fill, palette));
    }

    /** The part that a swatch is for, with its card: "Juniper, coat"; its name if it says no part. */
    public static String part(UUID id, Palette palette) {
        return card(id, palette)
                .map(card -> card.name() + ", " + partAlone(id, palette))
                .orElse(partAlone(id, palette));
    }

    static String partAlone(UUID id, Palette palette) {
        return palette.swatch(id)
                .map(each -> each.part().isBlank() ? each.name() : each.part())
                .orElse(REMOVED);
    }

    static Optional<Card> card(UUID id, Palette palette) {
        return palette.cardOf(id).filter(each -> !each.isLoose() && !each.isNeutral());
    }
}
