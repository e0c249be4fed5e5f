package stillpond.core.ledger;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;
import stillpond.core.ledger.PartsOnSheet.Place;
import stillpond.core.ledger.PartsOnSheet.Stranger;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.SwatchColours;

/** Parts of cards by sheets: whether each is the same everywhere, and what stands out. */
public final class PartsTable {

    /** A part belongs to its card's sheets if it is worn on so many of them. */
    private static final double USUAL = 0.6;
    /** Whoever is on a sheet wears this share of the card there. */
    private static final double THERE = 0.3;

    /** A stranger is usual, such as a satchel on a coat, if it touches parts of the card on more than so many of the card's sheets. */
    private static final double RARE = 0.25;
    /** A colour so far from those of the same part beside it stands out, as a CIEDE2000 difference. */
    private static final double OFF = 6;

    /** So many sheets on either side are looked at, so that at the end of a scene one odd neighbour does not decide. */
    private static final int BESIDE = 2;

    private final List<Row> rows;

    /** One sheet. @param scene within which sheets are neighbours @param colours as the sheet shows them */
    public record Column(UUID sheet, UUID scene, PartsOnSheet parts, SwatchColours colours) {}

    /** What stands out about a part on a sheet. */
    public enum Mark {
        NOTHING,
        /** It lies among the parts of a card that it does not belong to. */
        FOREIGN,
        /** It is on no card. */
        LOOSE,
        /** Its card is there, and on most other sheets so is it. */
        MISSING,
        /** It is lighter, or darker, or of another hue than on the sheets before and behind. */
        OFF
    }

    /**
     * @param place empty where it is not worn
     * @param colour that it has, or would have
     * @param apart how far its colour is from those of the same part on the sheets beside it, the farthest of them, as a CIEDE2000 difference; 0 if there is none
     */
    public record Entry(Optional<Place> place, Srgb colour, double apart, Mark mark, String words) {}

    /** A part on each sheet. @param among for strangers: the card among whose parts they lie; else empty */
    public record Row(Card card, Swatch swatch, Optional<Card> among, List<Entry> entries) {
        public boolean standsOut() {
            return entries.stream().anyMatch(entry -> entry.mark() != Mark.NOTHING);
        }
    }

    private PartsTable(List<Row> rows) {
        this.rows = List.copyOf(rows);
    }

    public List<Row> rows() {
        return rows;
    }

    public long count(Mark mark) {
        return rows.stream()
                .flatMap(row -> row.entries().stream())
                .filter(entry -> entry.mark() == mark)
                .count();
    }

    /** @param columns in reading order @param cards whose rows are wanted */
    public static PartsTable of(List<Column> columns, Palette palette, List<Card> cards) {
        Map<UUID, Long> sheetsOfCard = new HashMap<>();
        for (Card card : palette.cards()) {
            sheetsOfCard.put(
                    card.id(),
                    columns.stream().filter(column -> wears(column, card)).count());
        }
        Set<UUID> grounds = palette.cards().stream()
                .filter(card -> isGround(card, columns))
                .map(Card::id)
                .collect(Collectors.toSet());
        List<Row> rows = new ArrayList<>();
        for (Card card : cards) {
            for (Swatch swatch : card.swatches()) {
                boolean isWorn = columns.stream()
                        .anyMatch(column -> column.parts().worn().containsKey(swatch.id()));
                if (isWorn || card.kind() == Card.Kind.CAST) {
                    rows.add(partRow(
                            card, swatch, columns, grounds.contains(card.id()) ? 0 : sheetsOfCard.get(card.id())));
                }
            }
            if (!grounds.contains(card.id())) {
                rows.addAll(strangers(card, columns, palette, sheetsOfCard.get(card.id()), grounds));
            }
        }
        return new PartsTable(rows);
    }

    /** Whether so many parts of a card are worn that whoever it is of must be there: a single colour may be borrowed. */
    private static boolean wears(Column column, Card card) {
        long worn = card.swatches().stream()
                .filter(swatch -> column.parts().worn().containsKey(swatch.id()))
                .count();
        return worn >= Math.max(2, THERE * card.swatches().size());
    }

    /** Whether a card is of a place: mostly some part of it goes from edge to edge. Things stand before a place, so nothing is foreign there, and no part has to be seen. */
    private static boolean isGround(Card card, List<Column> columns) {
        Set<UUID> own = card.swatches().stream().map(Swatch::id).collect(Collectors.toSet());
        List<Column> there = columns.stream()
                .filter(column ->
                        !Collections.disjoint(own, column.parts().worn().keySet()))
                .toList();
        long spanned = there.stream()
                .filter(column -> !Collections.disjoint(own, column.parts().spanning()))
                .count();
        return spanned > 0 && 2 * spanned >= there.size();
    }

    /** @param sheetsOfCard on how many the card is; 0 if its parts need not be there */
    private static Row partRow(Card card, Swatch swatch, List<Column> columns, long sheetsOfCard) {
        long worn = columns.stream()
                .filter(column -> column.parts().worn().containsKey(swatch.id()))
                .count();
        boolean isUsual =
                card.kind() == Card.Kind.CAST && sheetsOfCard > 0 && worn >= 3 && worn >= USUAL * sheetsOfCard;
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Column column = columns.get(i);
            Optional<Place> place = Optional.ofNullable(column.parts().worn().get(swatch.id()));
            Srgb colour = column.colours().colourOf(swatch.id()).orElseThrow();
            if (place.isEmpty()) {
                boolean isMissing = isUsual && wears(column, card);
                entries.add(new Entry(
                        place, colour, 0, isMissing ? Mark.MISSING : Mark.NOTHING, isMissing ? "missing here" : ""));
            } else {
                List<Srgb> beside = beside(columns, i, swatch.id());
                double apart = beside.stream()
                        .mapToDouble(other -> Ciede2000.between(colour, other))
                        .max()
                        .orElse(0);
                boolean isLoose = card.kind() == Card.Kind.LOOSE;
                String off = isLoose ? "" : off(colour, beside);
                Mark mark = isLoose ? Mark.LOOSE : off.isEmpty() ? Mark.NOTHING : Mark.OFF;
                entries.add(new Entry(place, colour, apart, mark, isLoose ? "on no card" : off));
            }
        }
        return new Row(card, swatch, Optional.empty(), entries);
    }

    /** Its colours on the two nearest sheets of the scene on either side that wear it. */
    private static List<Srgb> beside(List<Column> columns, int at, UUID swatch) {
        List<Srgb> beside = new ArrayList<>(nearest(columns, at, -1, swatch));
        beside.addAll(nearest(columns, at, 1, swatch));
        return beside;
    }

    /** It is off if it is off most of those beside it. @return in which way; empty if it is not */
    private static String off(Srgb colour, List<Srgb> beside) {
        List<Srgb> apart = beside.stream()
                .filter(other -> Ciede2000.between(colour, other) > OFF)
                .toList();
        if (2 * apart.size() <= beside.size()) {
            return "";
        }
        double lighter = Oklch.of(colour).lightness() - Oklch.of(apart.get(0)).lightness();
        String how = Math.abs(lighter) < 0.02 ? "of another hue" : lighter > 0 ? "lighter" : "darker";
        return how + " than beside it";
    }

    private static List<Srgb> nearest(List<Column> columns, int at, int step, UUID swatch) {
        List<Srgb> found = new ArrayList<>();
        for (int i = at + step; i >= 0 && i < columns.size() && found.size() < BESIDE; i += step) {
            Column column = columns.get(i);
            if (!column.scene().equals(columns.get(at).scene())) {
                break;
            }
            if (column.parts().worn().containsKey(swatch)) {
                column.colours().colourOf(swatch).ifPresent(found::add);
            }
        }
        return found;
    }

    /** Swatches of other cards among the parts of one, where that is rare. */
    private static List<Row> strangers(
            Card card, List<Column> columns, Palette palette, long sheetsOfCard, Set<UUID> grounds) {
        List<UUID> swatches = columns.stream()
                .flatMap(column -> column.parts().strangers().stream())
                .filter(stranger -> stranger.card().equals(card.id()))
                .map(Stranger::swatch)
                .filter(palette::has)
                .distinct()
                .toList();
        List<Row> rows = new ArrayList<>();
        for (UUID id : swatches) {
            Optional<Card> own = palette.cardOf(id).filter(each -> each.kind() == Card.Kind.CAST);
            boolean isOfGround = own.map(Card::id).filter(grounds::contains).isPresent();
            List<Entry> entries = columns.stream()
                    .map(column -> stranger(
                            column, id, card, own.map(Card::name).orElse(""), isOfGround && isSeen(column, own.get())))
                    .toList();
            long met = columns.stream()
                    .filter(column ->
                            column.parts().beside().getOrDefault(id, Set.of()).contains(card.id()))
                    .count();
            boolean isAny = entries.stream().anyMatch(entry -> entry.mark() != Mark.NOTHING);
            if (isAny && own.isPresent() && met <= Math.max(1, RARE * sheetsOfCard)) {
                rows.add(new Row(own.get(), palette.swatch(id).orElseThrow(), Optional.of(card), entries));
            }
        }
        return rows;
    }

    /** Whether the place that a card is of is behind what is seen on a sheet. */
    private static boolean isSeen(Column column, Card ground) {
        return ground.swatches().stream()
                .anyMatch(swatch -> column.parts().spanning().contains(swatch.id()));
    }

    /** @param isBehind whether it is of the place behind the card's parts, and is seen between them */
    private static Entry stranger(Column column, UUID swatch, Card card, String own, boolean isBehind) {
        Srgb colour = column.colours().colourOf(swatch).orElseThrow();
        return column.parts().strangers().stream()
                .filter(each ->
                        !isBehind && each.swatch().equals(swatch) && each.card().equals(card.id()))
                .findFirst()
                .map(each ->
                        new Entry(Optional.of(each.place()), colour, 0, Mark.FOREIGN, "of " + own + ", among these"))
                .orElseGet(() -> new Entry(Optional.empty(), colour, 0, Mark.NOTHING, ""));
    }
}
