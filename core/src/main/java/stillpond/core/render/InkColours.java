package stillpond.core.render;

import java.util.Arrays;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.SwatchColours;
import stillpond.core.stroke.StrokeMap;

/** The colours of a layer's ink: black, but where its strokes wear swatches. */
public abstract sealed class InkColours {

    private static final int OPAQUE_BLACK = 0xff000000;

    private static final int[][] HERE = {{0, 0}};

    /** Of ink that wears nothing. */
    public static final InkColours BLACK = new Black();

    /** The colour of the ink at a pixel, as 0xFFRRGGBB. */
    abstract int argbAt(int x, int y);

    /** How much ink covers a pixel, 0 to 255: ink that wears a swatch is opaque where it is solid, however pale it was drawn. @param density of the ink there */
    abstract int coverage(int x, int y, int density);

    /** What the strokes of a layer show. @param fills by stroke @param count how many strokes there are */
    public static Worn worn(Fills fills, SwatchColours colours, int count) {
        int[] argb = new int[count];
        for (int stroke = 0; stroke < count; stroke++) {
            argb[stroke] = fills.of(stroke) instanceof Fill.Flat flat
                    ? colours.colourOf(flat.swatch()).map(Srgb::opaqueArgb).orElse(OPAQUE_BLACK)
                    : OPAQUE_BLACK;
        }
        return new Worn(argb);
    }

    /** A colour for each stroke, as 0xFFRRGGBB. */
    public record Worn(int[] argb) {

        /** Whether nothing of the ink is coloured. */
        public boolean isBlack() {
            for (int each : argb) {
                if (each != OPAQUE_BLACK) {
                    return false;
                }
            }
            return true;
        }

        /** The same for two layers of like strokes only if they look the same. */
        public String version() {
            return isBlack() ? "" : Integer.toHexString(Arrays.hashCode(argb));
        }

        /** @param strokePx how wide strokes are, in pixels of the page */
        public InkColours on(StrokeMap map, Meeting meeting, double strokePx) {
            return new Cut(map, argb, meeting == Meeting.HARD ? HERE : MeetingTaps.around(strokePx));
        }
    }

    private static final class Black extends InkColours {
        @Override
        int argbAt(int x, int y) {
            return OPAQUE_BLACK;
        }

        @Override
        int coverage(int x, int y, int density) {
            return density;
        }
    }

    private static final class Cut extends InkColours {
        private final StrokeMap map;
        private final int[] columns;
        private final int[] rows;
        private final int[] argb;
        private final int[][] taps;

        Cut(StrokeMap map, int[] argb, int[][] taps) {
            this.map = map;
            this.columns = map.columns();
            this.rows = map.rows();
            this.argb = argb;
            this.taps = taps;
        }

        @Override
        int argbAt(int x, int y) {
            int red = 0;
            int green = 0;
            int blue = 0;
            for (int[] tap : taps) {
                int colour = at(within(x + tap[0], columns.length), within(y + tap[1], rows.length));
                red += colour >> 16 & 0xff;
                green += colour >> 8 & 0xff;
                blue += colour & 0xff;
            }
            int half = taps.length / 2;
            return OPAQUE_BLACK
                    | (red + half) / taps.length << 16
                    | (green + half) / taps.length << 8
                    | (blue + half) / taps.length;
        }

        @Override
        int coverage(int x, int y, int density) {
            int stroke = strokeAt(x, y);
            return argb[stroke] == OPAQUE_BLACK ? density : StrokeMap.coverage(density, map.solids()[stroke]);
        }

        private int at(int x, int y) {
            return argb[strokeAt(x, y)];
        }

        private int strokeAt(int x, int y) {
            return map.plane().numbers()[rows[y] * map.plane().widthPx() + columns[x]];
        }

        private static int within(int at, int end) {
            return Math.max(0, Math.min(end - 1, at));
        }
    }
}
