package stillpond.app.palette;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** A card as pages show it: with the colour that each swatch has now. */
public record CardView(
        UUID id,
        String name,
        String subject,
        boolean isNeutral,
        boolean isLoose,
        boolean locked,
        List<SwatchView> swatches) {

    private static final int MOST_IN_SIGHT = 24;

    /** Whether it holds very many, such as a range of inks, so that it would push other cards out of sight. */
    public boolean hasMany() {
        return swatches.size() > MOST_IN_SIGHT;
    }

    /**
     * A swatch as pages show it.
     *
     * @param follows the name of the swatch that it is tied to, or null
     * @param how the tie in plain words, or null
     * @param spot the name of its ink, or null
     */
    public record SwatchView(
            UUID id,
            String name,
            String part,
            String note,
            Srgb colour,
            String paint,
            String follows,
            String how,
            String spot) {}

    public static List<CardView> of(Palette palette) {
        return palette.cards().stream().map(card -> of(card, palette)).toList();
    }

    public static CardView of(Card card, Palette palette) {
        return new CardView(
                card.id(),
                card.name(),
                card.subject(),
                card.isNeutral(),
                card.isLoose(),
                card.locked(),
                card.swatches().stream().map(swatch -> of(swatch, palette)).toList());
    }

    private static SwatchView of(Swatch swatch, Palette palette) {
        Optional<Paint.Tied> tied = swatch.paint() instanceof Paint.Tied each ? Optional.of(each) : Optional.empty();
        return new SwatchView(
                swatch.id(),
                swatch.name(),
                swatch.part(),
                swatch.note(),
                palette.colourOf(swatch.id()).orElseThrow(),
                swatch.paint().text(),
                tied.flatMap(each -> palette.swatch(each.source()))
                        .map(Swatch::name)
                        .orElse(null),
                tied.map(each -> each.tie().words()).orElse(null),
                swatch.paint() instanceof Paint.Spot spot ? spot.ink() : null);
    }
}
