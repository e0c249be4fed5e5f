package stillpond.app.check;

import java.util.List;

/**
 * A region that wears something else than its likes on other sheets do.
 *
 * @param fill that its likes wear
 * @param sheets whose likes wear it, by title
 * @param key under which it can be accepted as meant, like a finding of the check
 */
public record Difference(List<Integer> cells, String fill, List<String> sheets, String key) {

    public static Difference of(List<Integer> cells, String fill, List<String> sheets) {
        return new Difference(cells, fill, sheets, "unlike " + cells.get(0) + " " + fill);
    }
}
