package stillpond.app.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import stillpond.app.page.Crop;
import stillpond.core.ledger.PartsOnSheet.Place;
import stillpond.core.ledger.PartsTable;

/** The table of parts by sheets as its page shows it: card by card. */
record PartsView(Map<String, List<RowView>> groups, long foreign, long loose, long missing, long off) {

    record RowView(PartsTable.Row row, List<CellView> cells) {}

    /** @param crop null where the part is not worn @param mark null where nothing stands out @param label all of it in words */
    record CellView(Integer layer, Integer cell, Crop crop, String colour, String mark, String words, String label) {}

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
                entry.place().map(PartsView::crop).orElse(null),
                colour,
                mark,
                entry.words(),
                (row.swatch().name() + ", " + colour + " " + entry.words()).strip());
    }

    static Crop crop(Place place) {
        return Crop.of(place.x(), place.y(), place.xStart(), place.yStart(), place.width(), place.height());
    }
}
