package stillpond.app.blockin;

/** Sizes of pages to choose from, upright: those of ISO 216, and plain proportions. */
enum PageSize {
    A5("A5", 148, 210),
    A4("A4", 210, 297),
    A3("A3", 297, 420),
    SQUARE("Square", 200, 200),
    THREE_TO_FOUR("3 to 4", 180, 240),
    NINE_TO_SIXTEEN("9 to 16", 135, 240);

    private final String words;
    private final double widthMm;
    private final double heightMm;

    PageSize(String words, double widthMm, double heightMm) {
        this.words = words;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    public String words() {
        return words;
    }

    public double widthMm() {
        return widthMm;
    }

    public double heightMm() {
        return heightMm;
    }
}
