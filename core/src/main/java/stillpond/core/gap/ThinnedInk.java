package stillpond.core.gap;

import stillpond.core.ink.InkPlane;

/**
 * A page brought to the size on which closures are searched, with its ink thinned to lines of one pixel: what the search for gaps and the cutting into strokes both begin with. The ink is
 * thinned once, when either first asks for it.
 */
public final class ThinnedInk {

    private final SearchPage page;
    private Skeleton skeleton;

    private ThinnedInk(SearchPage page) {
        this.page = page;
    }

    public static ThinnedInk of(InkPlane ink) {
        return new ThinnedInk(SearchPage.of(ink));
    }

    SearchPage page() {
        return page;
    }

    synchronized Skeleton skeleton() {
        if (skeleton == null) {
            skeleton = Skeleton.of(page);
        }
        return skeleton;
    }
}
