package stillpond.core.render;

import java.util.stream.IntStream;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.Palette;

/** The colour that each cell shows, looked up once for all its pixels. */
public final class CellColours {

    /** What a cell without a fill shows: nothing. */
    static final int CLEAR = 0;

    private final int[] argb;

    private CellColours(int[] argb) {
        this.argb = argb;
    }

    /** @param cells how many cells the layer has */
    public static CellColours of(Fills fills, Palette palette, int cells) {
        return new CellColours(IntStream.range(0, cells)
                .map(cell -> argbOf(fills.of(cell), palette))
                .toArray());
    }

    /** The colour of a cell as 0xAARRGGBB: opaque, or {@link #CLEAR}. */
    int argbOf(int cell) {
        return argb[cell];
    }

    private static int argbOf(Fill fill, Palette palette) {
        if (fill instanceof Fill.Flat flat) {
            return palette.colourOf(flat.swatch()).map(Srgb::opaqueArgb).orElse(CLEAR);
        }
        return CLEAR;
    }
}
