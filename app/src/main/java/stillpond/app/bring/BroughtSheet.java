package stillpond.app.bring;

import java.util.List;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** What the page shows of a sheet just brought in. @param leftOut see {@link Sheets.Brought} */
record BroughtSheet(
        String address,
        String picture,
        String title,
        int widthPx,
        int heightPx,
        int layers,
        int regions,
        List<String> leftOut) {

    static BroughtSheet of(Sheets.Brought brought) {
        Sheet sheet = brought.sheet();
        String address = "/projects/" + sheet.project() + "/sheets/" + sheet.id();
        return new BroughtSheet(
                address,
                address + "/small.png",
                sheet.title(),
                sheet.widthPx(),
                sheet.heightPx(),
                sheet.layers().size(),
                sheet.layers().stream().mapToInt(Layer::regionCount).sum(),
                brought.leftOut());
    }
}
