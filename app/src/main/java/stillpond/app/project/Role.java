package stillpond.app.project;

/** What a member is to a project. */
public enum Role {
    /** Only looks. */
    GUEST("guest"),
    COLOURIST("colourist"),
    LEAD("lead");

    /** The name under which a request within a project carries the role of whoever asks. */
    public static final String OF_REQUEST = "stillpond.role";

    private final String words;

    Role(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
