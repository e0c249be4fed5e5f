package stillpond.app.project;

import stillpond.core.refusal.Refusal;

/** The rule for titles that people type. */
public final class Title {

    public static final int MAX_LENGTH = 120;

    private Title() {}

    /** @throws Refusal for the user to read */
    public static String of(String what, String typed) {
        String title = typed == null ? "" : typed.strip();
        if (title.isEmpty()) {
            throw new Refusal("Give the " + what + " a title.");
        }
        if (title.length() > MAX_LENGTH) {
            throw new Refusal("A title has up to " + MAX_LENGTH + " characters.");
        }
        return title;
    }
}
