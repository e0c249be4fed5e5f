package stillpond.app.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.app.page.Crop;
import stillpond.app.sheet.CellAddress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SmallPicture;
import stillpond.core.ledger.ConsistencySheet;

/**
 * The consistency sheet as its page shows it: parts by sheets at a glance, card by card, so many sheets at a time; and what stands out on any sheet one by one.
 *
 * @param sheets those that are shown, {@code from} the place of the first of them among all, from 0
 * @param open the first of what nobody has accepted, {@code openCount} how many there are
 */
record ConsistencyView(
        List<Sheet> sheets,
        int from,
        Map<String, List<Row>> groups,
        List<Notable> open,
        int openCount,
        List<Notable> accepted) {

    static final int SHEETS_AT_ONCE = 40;
    private static final int MOST_OPEN = 60;

    /** A part on the sheets that are shown. */
    record Row(ConsistencySheet.Line line, List<ConsistencySheet.Cell> cells) {}

    /**
     * Something that stands out.
     *
     * @param at where it is worked on
     * @param crop null where nothing is worn
     */
    record Notable(
            ConsistencySheet.Line line,
            ConsistencySheet.Cell cell,
            UUID sheet,
            String title,
            String at,
            SmallPicture picture,
            @Nullable Crop crop) {}

    /** @param first the place of the first sheet that is shown */
    static ConsistencyView of(Consistency.Shown shown, int first) {
        int from = Math.max(0, Math.min(first, shown.sheets().size() - 1));
        int to = Math.min(from + SHEETS_AT_ONCE, shown.sheets().size());
        Map<String, List<Row>> groups = new LinkedHashMap<>();
        List<Notable> open = new ArrayList<>();
        List<Notable> accepted = new ArrayList<>();
        for (ConsistencySheet.Line line : shown.table().lines()) {
            groups.computeIfAbsent(line.among().isEmpty() ? line.card() : line.among(), name -> new ArrayList<>())
                    .add(new Row(line, line.cells().subList(from, to)));
            for (int i = 0; i < shown.sheets().size(); i++) {
                ConsistencySheet.Cell cell = line.cells().get(i);
                if (cell.standsOut()) {
                    (cell.isOpen() ? open : accepted)
                            .add(notable(line, cell, shown.sheets().get(i)));
                }
            }
        }
        List<Notable> shownOpen = open.subList(0, Math.min(MOST_OPEN, open.size()));
        return new ConsistencyView(shown.sheets().subList(from, to), from, groups, shownOpen, open.size(), accepted);
    }

    private static Notable notable(ConsistencySheet.Line line, ConsistencySheet.Cell cell, Sheet sheet) {
        String at = "/projects/" + sheet.project() + "/sheets/" + sheet.id();
        return new Notable(
                line,
                cell,
                sheet.id(),
                sheet.title(),
                cell.entry()
                        .place()
                        .map(place -> CellAddress.of(sheet, place.layer(), place.cell()))
                        .orElse(at),
                SmallPicture.of(sheet),
                cell.entry().place().map(PartsView::crop).orElse(null));
    }
}
