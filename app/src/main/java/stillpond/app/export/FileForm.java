package stillpond.app.export;

/** A form that a sheet, or a scene, is handed on in. */
enum FileForm {
    FLATS("Flats", " - flats", ".png", 14),
    SHEET("Whole sheet", "", ".png", 18),
    SHADOWS("Shadows and rims alone", " - shadows", ".png", 18),
    SHAPES("Shapes, SVG", "", ".svg", 18),
    LAYERS("Layers, OpenRaster", "", ".ora", 34),
    MASKS("Masks", " - masks", ".zip", 12),
    PLATES("Plates", " - plates", ".zip", 40),
    PROOF("Proof of each sheet, PDF", " - proof", ".pdf", 20),
    /** One for all sheets of a scene. */
    SCENE_PROOF("Proof of each scene, PDF", " - proof", ".pdf", 20);

    private final String words;
    private final String suffix;
    private final String ending;
    private final int bytesPerPixel;

    FileForm(String words, String suffix, String ending, int bytesPerPixel) {
        this.words = words;
        this.suffix = suffix;
        this.ending = ending;
        this.bytesPerPixel = bytesPerPixel;
    }

    /** What people call it. */
    public String words() {
        return words;
    }

    boolean isOfScene() {
        return this == SCENE_PROOF;
    }

    /** Behind the title of the sheet, before the ending. */
    String suffix() {
        return suffix;
    }

    String ending() {
        return ending;
    }

    /** How much memory it takes to write it, as measured by the benchmark of exports. */
    int bytesPerPixel() {
        return bytesPerPixel;
    }
}
