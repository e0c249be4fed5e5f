package stillpond.bench;

import java.util.concurrent.CompletableFuture;
import stillpond.core.gap.Openings;
import stillpond.core.gap.ThinnedInk;
import stillpond.core.ink.InkPlane;
import stillpond.core.stroke.StrokeMap;

/** What the application does with the ink of a sheet that is brought in. */
final class Analysis {

    private Analysis() {}

    static void of(InkPlane ink) {
        ThinnedInk thinned = ThinnedInk.of(ink);
        CompletableFuture<StrokeMap> strokes = CompletableFuture.supplyAsync(() -> StrokeMap.of(ink, thinned));
        Openings.of(ink, thinned);
        strokes.join();
    }
}
