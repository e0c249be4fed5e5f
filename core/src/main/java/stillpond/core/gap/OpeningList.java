package stillpond.core.gap;

import java.util.List;

/**
 * Openings without the plane of the cells that they lie between, for rules that need no pixels.
 *
 * @param all in their order
 * @param strokePx how wide the strokes are, in pixels of the page
 */
public record OpeningList(List<Opening> all, double strokePx) {

    public OpeningList {
        all = List.copyOf(all);
    }
}
