package stillpond.core.fill;

import stillpond.core.refusal.Refusal;

/** How much a fill hides of the paper below it. @param percent 1 to 100 */
public record Opacity(int percent) {

    public static final Opacity FULL = new Opacity(100);

    public Opacity {
        if (percent < 1 || percent > 100) {
            throw new Refusal("Opacity runs from 1 to 100 %, not " + percent + ".");
        }
    }

    String text() {
        return percent + "%";
    }
}
