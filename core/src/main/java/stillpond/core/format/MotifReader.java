package stillpond.core.format;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.ink.Picture;
import stillpond.core.render.Motif;

/** Makes a motif out of an SVG of one repeat: its even colours, up to four, become the colours that swatches are given for. */
public final class MotifReader {

    /** Drawn so much larger than kept, so that its edges are soft. */
    private static final int FINER = 4;

    private static final int SIDE = Motif.SIDE * FINER;
    private static final long MOST_BYTES = 2 << 20;
    private static final int MOST_COLOURS = 4;
    /** A colour of the drawing, and not only of soft edges, has at least this share of it. */
    private static final double LEAST_SHARE = 0.004;

    private MotifReader() {}

    /** The limits within which a file is drawn that {@link #of} is given. */
    public static ImageLimits limits() {
        return new ImageLimits(MOST_BYTES, (long) SIDE * SIDE, SIDE, SIDE);
    }

    /** @throws UnreadableFile with a message for the user */
    public static Motif read(byte[] svg) {
        return of(new LineArtReader(limits()).read(svg));
    }

    /** @throws UnreadableFile with a message for the user */
    public static Motif of(Picture drawn) {
        if (drawn.widthPx() != SIDE || drawn.heightPx() != SIDE) {
            throw new UnreadableFile("A pattern is a square that repeats: give the SVG a square view box.");
        }
        int[] rgb = onWhite(drawn.argb());
        int[] colours = colours(rgb);
        int[] inks = new int[rgb.length];
        for (int i = 0; i < rgb.length; i++) {
            inks[i] = nearest(colours, rgb[i]);
        }
        return new Motif(colours.length, shares(inks));
    }

    /** What the colours of the motif were in its drawing, 0xRRGGBB, in their order. @throws UnreadableFile as {@link #of} */
    public static int[] coloursOf(Picture drawn) {
        return colours(onWhite(drawn.argb()));
    }

    private static int[] onWhite(int[] argb) {
        int[] rgb = new int[argb.length];
        for (int i = 0; i < argb.length; i++) {
            int opacity = argb[i] >>> 24;
            for (int shift = 0; shift <= 16; shift += 8) {
                int channel = ((argb[i] >> shift & 0xff) * opacity + 255 * (255 - opacity) + 127) / 255;
                rgb[i] |= channel << shift;
            }
        }
        return rgb;
    }

    /** The colours of most of the drawing, largest first. */
    private static int[] colours(int[] rgb) {
        Map<Integer, Integer> counts = new HashMap<>();
        for (int each : rgb) {
            counts.merge(each, 1, Integer::sum);
        }
        List<Integer> colours = counts.entrySet().stream()
                .filter(entry -> entry.getValue() >= LEAST_SHARE * rgb.length)
                .sorted(Comparator.comparingInt((Map.Entry<Integer, Integer> entry) -> -entry.getValue())
                        .thenComparing(Map.Entry::getKey))
                .map(Map.Entry::getKey)
                .toList();
        if (colours.isEmpty()) {
            throw new UnreadableFile("This pattern has no even colours; gradients and photographs cannot be one.");
        }
        if (colours.size() > MOST_COLOURS) {
            throw new UnreadableFile("This pattern has " + colours.size() + " colours; up to " + MOST_COLOURS
                    + " can be given swatches.");
        }
        return colours.stream().mapToInt(Integer::intValue).toArray();
    }

    private static int nearest(int[] colours, int rgb) {
        int nearest = 0;
        int least = Integer.MAX_VALUE;
        for (int i = 0; i < colours.length; i++) {
            int away = 0;
            for (int shift = 0; shift <= 16; shift += 8) {
                int step = (colours[i] >> shift & 0xff) - (rgb >> shift & 0xff);
                away += step * step;
            }
            if (away < least) {
                least = away;
                nearest = i;
            }
        }
        return nearest;
    }

    private static int[] shares(int[] inks) {
        int[] counts = new int[Motif.SIDE * Motif.SIDE * MOST_COLOURS];
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                int place = y / FINER * Motif.SIDE + x / FINER;
                counts[place * MOST_COLOURS + inks[y * SIDE + x]]++;
            }
        }
        int[] shares = new int[Motif.SIDE * Motif.SIDE];
        for (int place = 0; place < shares.length; place++) {
            for (int ink = 1; ink < MOST_COLOURS; ink++) {
                int share = counts[place * MOST_COLOURS + ink] * 255 / (FINER * FINER);
                shares[place] |= share << 8 * (MOST_COLOURS - 1 - ink);
            }
        }
        return shares;
    }
}
