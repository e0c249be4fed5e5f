package stillpond.app.project;

/** What a member is to a project. */
public enum Role {
    /** Only looks. */
    GUEST("guest"),
    COLOURIST("colourist"),
    LEAD("lead");

    private final String words;

    Role(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
