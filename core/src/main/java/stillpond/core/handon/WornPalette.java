package stillpond.core.handon;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;

/** The swatches that a sheet or a scene wears, the one that covers most first. */
public record WornPalette(List<Worn> worn) {

    private static final Tie SAME = new Tie.Shift(0, 0, 0);

    public WornPalette {
        worn = List.copyOf(worn);
    }

    /** @param share of all the sheets that are meant, 0 to 1; 0 for what only ink and shadows wear */
    public record Worn(UUID swatch, double share) {}

    /** @param uses of swatches on single sheets, in any order; what is on no card any more is left out @param sheets how many there are */
    public static WornPalette of(List<Worn> uses, int sheets, Palette palette) {
        Map<UUID, Double> shares = new LinkedHashMap<>();
        uses.stream()
                .filter(use -> palette.has(use.swatch()))
                .forEach(use -> shares.merge(use.swatch(), use.share() / Math.max(1, sheets), Double::sum));
        return new WornPalette(shares.entrySet().stream()
                .map(each -> new Worn(each.getKey(), each.getValue()))
                .sorted(Comparator.comparingDouble(Worn::share).reversed())
                .toList());
    }

    /** A card whose swatches follow these, so that an edit of one reaches it; each is named with its card, since two cards may name theirs alike. */
    public Card following(String name, Palette palette) {
        return card(name, palette, swatch -> new Paint.Tied(swatch.id(), SAME));
    }

    /** A card to be written to a file, where nothing can be followed: with the colours and spot inks as they are now. */
    public Card settled(String name, Palette palette) {
        return card(
                name,
                palette,
                swatch -> swatch.paint() instanceof Paint.Spot spot
                        ? spot
                        : new Paint.Process(palette.colourOf(swatch.id()).orElseThrow()));
    }

    private interface Painting {
        Paint of(Swatch swatch);
    }

    private Card card(String name, Palette palette, Painting painting) {
        List<Swatch> swatches = worn.stream()
                .map(Worn::swatch)
                .map(palette::swatch)
                .flatMap(Optional::stream)
                .map(swatch -> new Swatch(
                        UUID.randomUUID(), name(swatch, palette), swatch.part(), swatch.note(), painting.of(swatch)))
                .toList();
        return new Card(UUID.randomUUID(), name, "in order of area", swatches);
    }

    private static String name(Swatch swatch, Palette palette) {
        String whole = palette.cardOf(swatch.id())
                .filter(card -> !card.isNeutral() && !card.isLoose())
                .map(card -> swatch.name() + ", " + card.name())
                .orElse(swatch.name());
        return whole.length() > Swatch.MOST_LETTERS ? swatch.name() : whole;
    }
}
