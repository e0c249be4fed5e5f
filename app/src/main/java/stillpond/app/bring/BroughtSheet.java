package stillpond.app.bring;

import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;

/** What the page shows of a sheet just brought in. */
record BroughtSheet(String address, String picture, String title, int widthPx, int heightPx, int regions) {

    static BroughtSheet of(Sheet sheet) {
        String address = "/projects/" + sheet.project() + "/sheets/" + sheet.id();
        Layer layer = sheet.frontLayer();
        return new BroughtSheet(
                address, address + "/small.png", sheet.title(), layer.widthPx(), layer.heightPx(), layer.regionCount());
    }
}
