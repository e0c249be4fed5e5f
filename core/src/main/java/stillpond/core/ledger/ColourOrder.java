package stillpond.core.ledger;

import java.util.Comparator;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;

/** How the rows of a ledger are ordered. */
public enum ColourOrder {
    /** What covers most comes first. */
    AREA(Comparator.comparingDouble((Row row) -> -row.share())),
    /** What is in most regions comes first. */
    COUNT(Comparator.comparingLong((Row row) -> -row.regions())),
    HUE(Comparator.comparingDouble((Row row) -> Oklch.of(row.colour()).hue())),
    /** Light ones come first. */
    LIGHTNESS(Comparator.comparingDouble((Row row) -> -Oklch.of(row.colour()).lightness())),
    /** As the cards lie. */
    CARD(Comparator.comparingInt(Row::card)),
    NAME(Comparator.comparing(Row::name, String.CASE_INSENSITIVE_ORDER));

    private final Comparator<Row> comparator;

    ColourOrder(Comparator<Row> comparator) {
        this.comparator = comparator;
    }

    /**
     * A colour in use.
     *
     * @param card the place of its card among the cards
     * @param share of the sheets that it covers, 0 to 1 of one sheet
     * @param regions how many it is in
     */
    public record Row(String name, int card, Srgb colour, double share, long regions) {}

    public Comparator<Row> comparator() {
        return comparator;
    }
}
