package stillpond.app.sheet;

/** The small picture of a sheet, as pages show it. @param address without a question mark */
public record SmallPicture(String address, int widthPx, int heightPx) {

    public static SmallPicture of(Sheet sheet) {
        double scale = Math.min(1, Sheets.SMALL_LONG_SIDE_PX / (double) Math.max(sheet.widthPx(), sheet.heightPx()));
        return new SmallPicture(
                "/projects/" + sheet.project() + "/sheets/" + sheet.id() + "/small.png",
                (int) Math.max(1, Math.round(sheet.widthPx() * scale)),
                (int) Math.max(1, Math.round(sheet.heightPx() * scale)));
    }
}
