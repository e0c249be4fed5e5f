package stillpond.core.render;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;
import stillpond.core.ink.Picture;
import stillpond.core.shadow.Pieces;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.ShadowColours;
import stillpond.core.shadow.ShadowedCells;
import stillpond.core.shadow.Shadows;

/**
 * The shadows of a layer as pictures to lay over its flats one after the other, for programs that know layers and blend modes but no shadows. Where a swatch acts by a blend mode, so does the
 * picture; where a shadow darkens by OKLab, which no standard mode does, the picture has the colours that come of it.
 */
public final class ShadowLayers {

    private final ShadowedCells cut;
    private final CellColours shaded;
    private final Shadows shadows;
    private final ShadowColours colours;

    /** @param shaded the colours of cells and pieces, see {@link CellColours#under} */
    public ShadowLayers(ShadowedCells cut, CellColours shaded, Shadows shadows, ShadowColours colours) {
        this.cut = cut;
        this.shaded = shaded;
        this.shadows = shadows;
        this.colours = colours;
    }

    /** How a picture is laid over what lies under it in its group. */
    public sealed interface Laying {
        /** By a blend mode, over what is there. */
        record Blended(BlendMode mode) implements Laying {}

        /** Only where something is there already, whose opacity stays (source-atop of Porter and Duff). */
        record Atop() implements Laying {}

        /** It takes away what is there (destination-out). */
        record Out() implements Laying {}
    }

    /** What is asked for of a shadow: what lies over its base, or what lies under it. */
    private enum Side {
        OVER,
        UNDER
    }

    /** One of them. @param picture made when it is asked for, for it is as large as the page */
    public record One(String name, Laying laying, Painting painting) {
        public Picture picture() {
            return painting.paint();
        }
    }

    /** See {@link One}. */
    @FunctionalInterface
    public interface Painting {
        Picture paint();
    }

    /** What lies over the flats, from front to back. */
    public List<One> over() {
        List<One> all = new ArrayList<>();
        for (Shadow shadow : shadows.all()) {
            all.add(0, new One(shadow.name(), laying(shadow), () -> paint(shadow, Side.OVER)));
        }
        return all;
    }

    /** What lies under the flats, from front to back: rims that only show beside their base. */
    public List<One> under() {
        List<One> all = new ArrayList<>();
        shadows.all().stream()
                .filter(Shadow::isRim)
                .forEach(shadow -> all.add(
                        0,
                        new One(shadow.name(), new Laying.Blended(BlendMode.NORMAL), () -> paint(shadow, Side.UNDER))));
        return all;
    }

    private Laying laying(Shadow shadow) {
        boolean wears = colours.worn(shadow.number()).isPresent();
        if (!wears && shadow.isOfSurface()) {
            return new Laying.Out();
        }
        if (shadow.isRim()) {
            return new Laying.Blended(BlendMode.NORMAL);
        }
        return wears ? new Laying.Blended(shadow.mode()) : new Laying.Atop();
    }

    private Picture paint(Shadow shadow, Side side) {
        CellPlane plane = cut.plane();
        Pieces pieces = cut.pieces();
        int width = plane.widthPx();
        int[] numbers = plane.numbers();
        int[] argb = new int[numbers.length];
        Optional<Srgb> worn = colours.worn(shadow.number());
        boolean isResult = laying(shadow) instanceof Laying.Atop;
        int source = worn.map(Srgb::packed).orElse(0);
        IntStream.range(0, plane.heightPx()).parallel().forEach(y -> {
            for (int x = 0, i = y * width; x < width; x++, i++) {
                int piece = numbers[i];
                while (piece >= pieces.first() && pieces.shadow(piece) != shadow.number()) {
                    piece = pieces.parent(piece);
                }
                if (piece < pieces.first() || pieces.level(piece) > Pieces.LEVELS != (side == Side.UNDER)) {
                    continue;
                }
                argb[i] = isResult
                        ? shaded.argbOf(piece, x, y) | 0xff000000
                        : opacity(shadow, pieces.level(piece)) << 24 | source;
            }
        });
        return new Picture(width, plane.heightPx(), argb);
    }

    private static int opacity(Shadow shadow, int level) {
        int covered = level > Pieces.LEVELS ? level - Pieces.LEVELS : level;
        return (int) Math.round(255 * shadow.strength() / 100.0 * covered / Pieces.LEVELS);
    }
}
