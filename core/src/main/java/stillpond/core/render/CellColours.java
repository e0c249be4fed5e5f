package stillpond.core.render;

import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
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

    /** SHA-256 of all colours in hexadecimal: the same for two layers of like cells only if they look the same. */
    public String version() {
        ByteBuffer bytes = ByteBuffer.allocate(Integer.BYTES * argb.length);
        bytes.asIntBuffer().put(argb);
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes.array()));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java platform has SHA-256", e);
        }
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
