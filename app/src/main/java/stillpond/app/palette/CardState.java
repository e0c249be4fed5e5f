package stillpond.app.palette;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A card as the scripts of the pages are told. */
public record CardState(
        UUID id,
        String name,
        String subject,
        boolean neutral,
        boolean loose,
        boolean locked,
        List<SwatchState> swatches) {

    /**
     * A swatch as they are told.
     *
     * @param paint see the paint of a swatch in the core
     * @param follows the name of the swatch that it is tied to, or null
     * @param how the tie in plain words, or null
     */
    public record SwatchState(
            UUID id,
            String name,
            String part,
            String note,
            String colour,
            String paint,
            @Nullable String follows,
            @Nullable String how) {

        private static SwatchState of(CardView.SwatchView swatch) {
            return new SwatchState(
                    swatch.id(),
                    swatch.name(),
                    swatch.part(),
                    swatch.note(),
                    swatch.colour().hex(),
                    swatch.paint(),
                    swatch.follows(),
                    swatch.how());
        }
    }

    public static CardState of(CardView card) {
        return new CardState(
                card.id(),
                card.name(),
                card.subject(),
                card.isNeutral(),
                card.isLoose(),
                card.locked(),
                card.swatches().stream().map(SwatchState::of).toList());
    }
}
