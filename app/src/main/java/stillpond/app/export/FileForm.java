package stillpond.app.export;

/** A form that one sheet is handed on in. */
enum FileForm {
    FLATS("Flats", " - flats", ".png"),
    SHEET("Whole sheet", "", ".png"),
    SHADOWS("Shadows and rims alone", " - shadows", ".png"),
    SHAPES("Shapes, SVG", "", ".svg"),
    LAYERS("Layers, OpenRaster", "", ".ora"),
    MASKS("Masks", " - masks", ".zip"),
    PLATES("Plates", " - plates", ".zip"),
    PROOF("Proof, PDF", " - proof", ".pdf");

    private final String words;
    private final String suffix;
    private final String ending;

    FileForm(String words, String suffix, String ending) {
        this.words = words;
        this.suffix = suffix;
        this.ending = ending;
    }

    /** What people call it. */
    public String words() {
        return words;
    }

    /** Behind the title of the sheet, before the ending. */
    String suffix() {
        return suffix;
    }

    String ending() {
        return ending;
    }
}
