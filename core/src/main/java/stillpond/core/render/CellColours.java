package stillpond.core.render;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.StringJoiner;
import java.util.function.IntPredicate;
import java.util.function.IntUnaryOperator;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.SwatchColours;
import stillpond.core.shadow.Pieces;
import stillpond.core.shadow.ShadowColours;

/** The colours that each cell shows, looked up once for all its pixels. */
public final class CellColours {

    private static final Look NOTHING = new Look() {
        @Override
        public Look mapped(IntUnaryOperator colours) {
            return this;
        }

        @Override
        public int argbAt(double x, double y, double pixelPx) {
            return FillColours.CLEAR;
        }
    };

    private final Look[] looks;
    private final int[] argb;
    private final String version;
    private final double pixelPx;

    private CellColours(Look[] looks, int[] argb, String version, double pixelPx) {
        this.looks = looks;
        this.argb = argb;
        this.version = version;
        this.pixelPx = pixelPx;
    }

    /** @param cells how many cells the layer has */
    public static CellColours of(Fills fills, SwatchColours colours, Motifs motifs, int cells) {
        Map<Fill, Look> known = new HashMap<>();
        Look[] looks = new Look[cells];
        int[] argb = new int[cells];
        StringJoiner version = new StringJoiner("\n");
        for (int cell = 0; cell < cells; cell++) {
            Fill fill = fills.of(cell);
            argb[cell] = isEven(fill) ? FillColours.of(fill, colours).argb()[0] : FillColours.CLEAR;
            version.add(Integer.toHexString(argb[cell]));
            if (!isEven(fill)) {
                looks[cell] = known.computeIfAbsent(fill, each -> lookOf(each, colours, motifs));
                version.add(fill.text());
                fill.swatches()
                        .forEach(swatch -> version.add(
                                colours.colourOf(swatch).map(Srgb::hex).orElse("-")));
            }
        }
        return new CellColours(looks, argb, version.toString(), 1);
    }

    /** SHA-256 of all colours in hexadecimal: the same for two layers of like cells only if they look the same. */
    public String version() {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(version.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java platform has SHA-256", e);
        }
    }

    /** For a picture of the layer with larger pixels. @param pixelPx how wide one of them is, in pixels of the layer */
    public CellColours inPixelsOf(double pixelPx) {
        return new CellColours(looks, argb, version, pixelPx);
    }

    /** The colours of cells and of what shadows have made of them, by their numbers. */
    public CellColours under(Pieces pieces, ShadowColours shadows) {
        Look[] all = Arrays.copyOf(looks, pieces.count());
        int[] colours = Arrays.copyOf(argb, pieces.count());
        for (int piece = argb.length; piece < colours.length; piece++) {
            int number = piece;
            int parent = pieces.parent(piece);
            IntUnaryOperator shaded = colour -> shadows.over(colour, pieces.shadow(number), pieces.level(number));
            all[piece] = all[parent] == null ? null : all[parent].mapped(shaded);
            colours[piece] = shaded.applyAsInt(colours[parent]);
        }
        return new CellColours(all, colours, version, pixelPx);
    }

    /** Of what shadows have made of cells alone; the cells themselves are clear. @param cells how many there are */
    public CellColours ofPiecesAlone(int cells) {
        Look[] pieces = looks.clone();
        int[] colours = argb.clone();
        Arrays.fill(pieces, 0, cells, null);
        Arrays.fill(colours, 0, cells, FillColours.CLEAR);
        return new CellColours(pieces, colours, version, pixelPx);
    }

    /** Of some cells alone; the others are clear. */
    public CellColours ofCells(IntPredicate cells) {
        Look[] some = looks.clone();
        int[] colours = argb.clone();
        for (int cell = 0; cell < some.length; cell++) {
            if (!cells.test(cell)) {
                some[cell] = null;
                colours[cell] = FillColours.CLEAR;
            }
        }
        return new CellColours(some, colours, version, pixelPx);
    }

    /** With patterns that show only the colours of their swatches; gradients keep all of theirs. */
    CellColours hardEdged() {
        Look[] hard = new Look[looks.length];
        Map<Look, Look> known = new HashMap<>();
        for (int cell = 0; cell < looks.length; cell++) {
            hard[cell] = looks[cell] == null ? null : known.computeIfAbsent(looks[cell], Look::hardEdged);
        }
        return new CellColours(hard, argb, version, pixelPx);
    }

    /** The colour of a cell at a pixel of the picture, as 0xAARRGGBB, not premultiplied; or {@link FillColours#CLEAR}. */
    int argbOf(int cell, int x, int y) {
        Look look = looks[cell];
        return look == null ? argb[cell] : look.argbAt((x + 0.5) * pixelPx, (y + 0.5) * pixelPx, pixelPx);
    }

    private static boolean isEven(Fill fill) {
        return !(fill instanceof Fill.Gradient) && !(fill instanceof Fill.Pattern);
    }

    private static Look lookOf(Fill fill, SwatchColours colours, Motifs motifs) {
        if (fill instanceof Fill.Gradient gradient) {
            return new GradientLook(gradient, colours);
        }
        Fill.Pattern pattern = (Fill.Pattern) fill;
        boolean isGone =
                pattern.inks().stream().allMatch(ink -> colours.colourOf(ink).isEmpty());
        Optional<Motif> motif = motifs.find(pattern.motif());
        return isGone || motif.isEmpty()
                ? NOTHING
                : new PatternLook(
                        pattern, motif.get(), FillColours.of(pattern, colours).argb());
    }
}
