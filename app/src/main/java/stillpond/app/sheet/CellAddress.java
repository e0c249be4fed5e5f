package stillpond.app.sheet;

import java.util.UUID;

/** Where a cell of a sheet is worked on. */
public final class CellAddress {

    private CellAddress() {}

    /** @param standing of the layer that the cell is of, see {@link Layer#standing} */
    public static String of(Sheet sheet, UUID standing, int cell) {
        String layer = sheet.layers().size() == 1 ? "" : "?layer=" + standing;
        return "/projects/" + sheet.project() + "/sheets/" + sheet.id() + layer + "#cell=" + cell;
    }

    /** @param layer that the cell is of, counted from the front */
    public static String of(Sheet sheet, int layer, int cell) {
        return of(sheet, sheet.layers().get(layer).standing().layer(), cell);
    }
}
