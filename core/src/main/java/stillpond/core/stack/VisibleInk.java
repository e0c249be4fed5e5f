package stillpond.core.stack;

import java.util.List;
import java.util.stream.IntStream;
import stillpond.core.ink.InkPlane;

/** The ink of several layers as if it were drawn on one: regions that are bounded by all of it can be found. */
public final class VisibleInk {

    private VisibleInk() {}

    /** Ink of another layer. @param xPx where its left edge lies on the layer that it is laid on, as {@code yPx} its upper one */
    public record Other(InkPlane ink, int xPx, int yPx) {}

    /** The ink of a layer with that of others over it, as far as it lies there; what is ink on any of them is ink. */
    public static InkPlane of(InkPlane own, List<Other> others) {
        byte[] density = own.density().clone();
        for (Other other : others) {
            lay(own, other, density);
        }
        return new InkPlane(own.widthPx(), own.heightPx(), density, own.threshold());
    }

    private static void lay(InkPlane own, Other other, byte[] density) {
        InkPlane ink = other.ink();
        int[] like = alike(ink.threshold(), own.threshold());
        int from = Math.max(0, other.xPx());
        int to = Math.min(own.widthPx(), other.xPx() + ink.widthPx());
        IntStream.range(Math.max(0, other.yPx()), Math.max(0, Math.min(own.heightPx(), other.yPx() + ink.heightPx())))
                .parallel()
                .forEach(y -> {
                    int there = (y - other.yPx()) * ink.widthPx() - other.xPx();
                    for (int x = from, i = y * own.widthPx() + from; x < to; x++, i++) {
                        density[i] = (byte) Math.max(density[i] & 0xff, like[ink.density()[there + x] & 0xff]);
                    }
                });
    }

    /** Densities as they are where another threshold parts ink from paper. */
    private static int[] alike(int threshold, int wanted) {
        return IntStream.range(0, 256)
                .map(each -> each < threshold ? Math.min(each, wanted - 1) : Math.max(each, wanted))
                .toArray();
    }
}
