package stillpond.core.handon;

import java.util.List;
import java.util.Optional;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.SwatchColours;

/**
 * A swatch as it comes out on paper.
 *
 * @param card that it is on; empty if it is on none of the cast
 * @param screen how it is shown
 * @param spot the name of its ink, if it has one of its own; then it is printed from that
 * @param inks its shares of the process inks; empty without a print condition
 * @param paper what becomes of it, printed from those
 * @param share of the sheet or scene that wears it, 0 to 1
 */
public record Printed(
        String name,
        Optional<String> card,
        Srgb screen,
        Optional<String> spot,
        Optional<Cmyk> inks,
        Optional<Srgb> paper,
        boolean isPrintable,
        double share) {

    /** All process inks taken together, 0 to 400; 0 where they are not known. */
    public long inkPercent() {
        return inks.map(each -> Math.round(100 * (each.cyan() + each.magenta() + each.yellow() + each.black())))
                .orElse(0L);
    }

    /** Of all that is worn, in the same order. @param condition how ink comes out on the paper; empty: not known */
    public static List<Printed> of(
            WornPalette worn, Palette palette, SwatchColours shown, Optional<PrintCondition> condition) {
        return worn.worn().stream()
                .filter(each -> palette.has(each.swatch()))
                .map(each -> of(palette.swatch(each.swatch()).orElseThrow(), palette, shown, condition, each.share()))
                .toList();
    }

    /** Of a card, in its order. */
    public static List<Printed> of(Card card, Palette palette, Optional<PrintCondition> condition) {
        return card.swatches().stream()
                .map(swatch -> of(swatch, palette, palette::colourOf, condition, 0))
                .toList();
    }

    private static Printed of(
            Swatch swatch, Palette palette, SwatchColours shown, Optional<PrintCondition> condition, double share) {
        Srgb screen = shown.colourOf(swatch.id()).orElseThrow();
        Optional<String> spot = swatch.paint() instanceof Paint.Spot each ? Optional.of(each.ink()) : Optional.empty();
        return new Printed(
                swatch.name(),
                palette.cardOf(swatch.id())
                        .filter(card -> !card.isNeutral() && !card.isLoose())
                        .map(Card::name),
                screen,
                spot,
                condition.map(known -> known.inks(screen)),
                condition.map(known -> known.printable(screen)),
                spot.isPresent()
                        || condition.map(known -> known.isPrintable(screen)).orElse(true),
                share);
    }
}
