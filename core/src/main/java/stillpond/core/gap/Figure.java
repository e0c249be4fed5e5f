package stillpond.core.gap;

import java.util.List;

/**
 * Something drawn that stands by itself on a page.
 *
 * @param cells all that lies inside its silhouette, in rising order
 * @param holes regions among them through which one may see what lies behind, such as the one inside a handle: only somebody who looks can tell
 */
public record Figure(List<Integer> cells, List<List<Integer>> holes) {

    public Figure {
        cells = List.copyOf(cells);
        holes = List.copyOf(holes);
    }
}
