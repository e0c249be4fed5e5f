package stillpond.core.render;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.StringJoiner;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.palette.SwatchColours;

/** The colours that each cell shows, looked up once for all its pixels. */
public final class CellColours {

    /** What a cell without a fill shows: nothing. */
    static final int CLEAR = 0;

    private static final Look NOTHING = (x, y, pixelPx) -> CLEAR;

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
            argb[cell] = evenArgbOf(fill, colours);
            version.add(Integer.toHexString(argb[cell]));
            if (fill instanceof Fill.Gradient || fill instanceof Fill.Pattern) {
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

    /** With patterns that show only the colours of their swatches; gradients keep all of theirs. */
    CellColours hardEdged() {
        Look[] hard = new Look[looks.length];
        Map<Look, Look> known = new HashMap<>();
        for (int cell = 0; cell < looks.length; cell++) {
            hard[cell] = looks[cell] == null ? null : known.computeIfAbsent(looks[cell], Look::hardEdged);
        }
        return new CellColours(hard, argb, version, pixelPx);
    }

    /** The colour of a cell at a pixel of the picture, as 0xAARRGGBB, not premultiplied; or {@link #CLEAR}. */
    int argbOf(int cell, int x, int y) {
        Look look = looks[cell];
        return look == null ? argb[cell] : look.argbAt((x + 0.5) * pixelPx, (y + 0.5) * pixelPx, pixelPx);
    }

    private static int evenArgbOf(Fill fill, SwatchColours colours) {
        return fill instanceof Fill.Flat flat
                ? colours.colourOf(flat.swatch())
                        .map(colour -> withOpacity(colour, flat.opacity()))
                        .orElse(CLEAR)
                : CLEAR;
    }

    private static int withOpacity(Srgb colour, Opacity opacity) {
        return Math.round(255 * opacity.percent() / 100f) << 24 | colour.opaqueArgb() & 0xffffff;
    }

    private static Look lookOf(Fill fill, SwatchColours colours, Motifs motifs) {
        if (fill instanceof Fill.Gradient gradient) {
            List<GradientLook.Shown> stops = gradient.stops().stream()
                    .flatMap(stop -> colours.colourOf(stop.swatch()).stream()
                            .map(colour -> new GradientLook.Shown(stop.percent() / 100.0, colour)))
                    .toList();
            return stops.isEmpty() ? NOTHING : new GradientLook(gradient, stops);
        }
        Fill.Pattern pattern = (Fill.Pattern) fill;
        List<Srgb> inks = pattern.inks().stream()
                .flatMap(ink -> colours.colourOf(ink).stream())
                .toList();
        Optional<Motif> motif = motifs.find(pattern.motif());
        return inks.isEmpty() || motif.isEmpty() ? NOTHING : new PatternLook(pattern, motif.get(), inks);
    }
}
