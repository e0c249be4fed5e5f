package stillpond.app.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import stillpond.core.ledger.PartsOnSheet.Place;
import stillpond.core.ledger.PartsTable;

/** The table of parts by sheets as its page shows it: card by card. */
record PartsView(Map<String, List<RowView>> groups, long foreign, long loose, long missing, long off) {

    record RowView(PartsTable.Row row, List<CellView> cells) {}

    /** @param crop null where the part is not worn @param mark null where nothing stands out @param label all of it in words */
    record CellView(Integer layer, Integer cell, Crop crop, String colour, String mark, String words, String label) {}

    /**
     * The part of a small picture that shows a region, with something around it.
     *
     * @param viewBox as SVG writes it
     * @param ring where the ring is that points to the region, and how large, as SVG writes it
     */
    record Crop(String viewBox, String ring) {

        private static final double SMALLEST = 56;
        private static final double AROUND = 1.3;
        /** Width to height. */
        private static final double SHAPE = 4 / 3.0;

        static Crop of(Place place) {
            double high = Math.max(SMALLEST, AROUND * Math.max(place.width() / SHAPE, place.height()));
            double wide = high * SHAPE;
            double left = place.xStart() + place.width() / 2.0 - wide / 2;
            double top = place.yStart() + place.height() / 2.0 - high / 2;
            return new Crop(
                    String.format(Locale.ROOT, "%.1f %.1f %.1f %.1f", left, top, wide, high),
                    String.format(Locale.ROOT, "translate(%d %d) scale(%.1f)", place.x(), place.y(), high / 9));
        }
    }

    /** @param only the rows in which something stands out */
    static PartsView of(PartsTable table, boolean only) {
        Map<String, List<RowView>> groups = new LinkedHashMap<>();
        for (PartsTable.Row row : table.rows()) {
            if (!only || row.standsOut()) {
                groups.computeIfAbsent(row.among().orElse(row.card()).name(), name -> new ArrayList<>())
                        .add(view(row));
            }
        }
        return new PartsView(
                groups,
                table.count(PartsTable.Mark.FOREIGN),
                table.count(PartsTable.Mark.LOOSE),
                table.count(PartsTable.Mark.MISSING),
                table.count(PartsTable.Mark.OFF));
    }

    private static RowView view(PartsTable.Row row) {
        return new RowView(
                row, row.entries().stream().map(entry -> view(row, entry)).toList());
    }

    private static CellView view(PartsTable.Row row, PartsTable.Entry entry) {
        String mark =
                entry.mark() == PartsTable.Mark.NOTHING ? null : entry.mark().name();
        String colour = entry.colour().hex();
        return new CellView(
                entry.place().map(Place::layer).orElse(null),
                entry.place().map(Place::cell).orElse(null),
                entry.place().map(Crop::of).orElse(null),
                colour,
                mark,
                entry.words(),
                (row.swatch().name() + ", " + colour + " " + entry.words()).strip());
    }
}
