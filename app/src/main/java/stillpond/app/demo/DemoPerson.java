package stillpond.app.demo;

import java.util.Arrays;
import java.util.Optional;

/** The two people of the demo. */
enum DemoPerson {
    COLOURIST("colourist", "Wren, colourist"),
    LEAD("lead", "Teal, lead");

    /** No secret: the demo is there to be looked into. */
    static final String PASSWORD = "low tide";

    private final String signInName;
    private final String displayName;

    DemoPerson(String signInName, String displayName) {
        this.signInName = signInName;
        this.displayName = displayName;
    }

    static Optional<DemoPerson> named(String signInName) {
        return Arrays.stream(values())
                .filter(person -> person.signInName.equals(signInName))
                .findFirst();
    }

    String signInName() {
        return signInName;
    }

    String displayName() {
        return displayName;
    }
}
