package stillpond.app.sheet;

/** How far somebody says that a sheet is. */
public enum SheetState {
    TO_DO("to do"),
    IN_WORK("in work"),
    TO_LOOK_AT("to be looked at"),
    /** Nothing of it is changed until a lead opens it again. */
    DONE("done");

    private final String words;

    SheetState(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
