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

/** The consistency sheet as its page shows it: all of it at a glance, card by card, and what stands out one by one. */
record ConsistencyView(Map<String, List<ConsistencySheet.Line>> groups, List<Notable> open, List<Notable> accepted) {

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

    static ConsistencyView of(Consistency.Shown shown) {
        Map<String, List<ConsistencySheet.Line>> groups = new LinkedHashMap<>();
        List<Notable> open = new ArrayList<>();
        List<Notable> accepted = new ArrayList<>();
        for (ConsistencySheet.Line line : shown.table().lines()) {
            groups.computeIfAbsent(line.among().isEmpty() ? line.card() : line.among(), name -> new ArrayList<>())
                    .add(line);
            for (int i = 0; i < shown.sheets().size(); i++) {
                ConsistencySheet.Cell cell = line.cells().get(i);
                if (cell.standsOut()) {
                    (cell.isOpen() ? open : accepted)
                            .add(notable(line, cell, shown.sheets().get(i)));
                }
            }
        }
        return new ConsistencyView(groups, open, accepted);
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
