package stillpond.core.adopt;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.stroke.StrokeMap;

/**
 * The few colours that line art was drawn in, found in the file that it came as.
 *
 * @param colourByStroke what each stroke is to wear; black ink is left out
 */
public record AdoptedInk(Map<Integer, Srgb> colourByStroke) {

    /** A file has a few ink colours; what is more is folded into the nearest of them. */
    private static final int MOST = 8;

    /** CIEDE2000 difference under which two strokes were drawn in one colour: ink on a scan is never quite even. */
    private static final double ONE_INK = 7;

    /** Nearer to black than this is black ink, however it was scanned. */
    private static final double BLACK_INK = 18;

    /** Only pixels count whose ink is about as dense as it gets. */
    private static final double SOLID = 0.9;

    private static final Srgb BLACK = Srgb.ofPacked(0);

    public AdoptedInk {
        colourByStroke = Map.copyOf(colourByStroke);
    }

    /**
     * @param ink of the same page as the strokes
     * @param drawn the picture that they were found in
     * @param known the palette's colours: one that is about as far from an ink as two inks may be is that ink
     * @throws Refusal if the picture is of another size
     */
    public static AdoptedInk of(StrokeMap strokes, InkPlane ink, Picture drawn, List<Srgb> known) {
        if (drawn.widthPx() != ink.widthPx() || drawn.heightPx() != ink.heightPx()) {
            throw new Refusal("The line art is of another size than the picture that it is to be compared with.");
        }
        Means means = Means.of(strokes, ink, drawn);
        List<Integer> byInk = IntStream.range(0, strokes.count())
                .boxed()
                .filter(stroke -> means.colour(stroke).isPresent())
                .sorted(Comparator.comparingLong(stroke -> -means.pixels(stroke)))
                .toList();
        List<Srgb> kept = new ArrayList<>();
        Map<Integer, Srgb> colours = new TreeMap<>();
        for (int stroke : byInk) {
            Srgb drawnIn = means.colour(stroke).orElseThrow();
            if (Ciede2000.between(drawnIn, BLACK) >= BLACK_INK) {
                colours.put(stroke, folded(drawnIn, kept, known));
            }
        }
        return new AdoptedInk(colours);
    }

    private static Srgb folded(Srgb colour, List<Srgb> kept, List<Srgb> known) {
        Optional<Srgb> nearest = nearest(colour, kept);
        if (nearest.isPresent() && (kept.size() == MOST || Ciede2000.between(colour, nearest.get()) < ONE_INK)) {
            return nearest.get();
        }
        Srgb own = nearest(colour, known)
                .filter(each -> Ciede2000.between(colour, each) < Ciede2000.HARD_TO_TELL)
                .orElse(colour);
        kept.add(own);
        return own;
    }

    private static Optional<Srgb> nearest(Srgb colour, List<Srgb> among) {
        return among.stream().min(Comparator.comparingDouble(each -> Ciede2000.between(colour, each)));
    }

    /** The mean colour of the solid ink of each stroke. */
    private record Means(long[] sums, long[] counts) {

        static Means of(StrokeMap strokes, InkPlane ink, Picture drawn) {
            long[] sums = new long[3 * strokes.count()];
            long[] counts = new long[strokes.count()];
            int[] columns = strokes.columns();
            int[] rows = strokes.rows();
            for (int y = 0, i = 0; y < ink.heightPx(); y++) {
                for (int x = 0; x < ink.widthPx(); x++, i++) {
                    if (ink.isInk(i)) {
                        int stroke = strokes.plane().numberAt(columns[x], rows[y]);
                        if ((ink.density()[i] & 0xff) >= SOLID * strokes.solids()[stroke]) {
                            int argb = overPaper(drawn.argb()[i]);
                            sums[3 * stroke] += argb >> 16 & 0xff;
                            sums[3 * stroke + 1] += argb >> 8 & 0xff;
                            sums[3 * stroke + 2] += argb & 0xff;
                            counts[stroke]++;
                        }
                    }
                }
            }
            return new Means(sums, counts);
        }

        private static int overPaper(int argb) {
            int opacity = argb >>> 24;
            int paper = 255 - opacity;
            int red = (argb >> 16 & 0xff) * opacity / 255 + paper;
            int green = (argb >> 8 & 0xff) * opacity / 255 + paper;
            int blue = (argb & 0xff) * opacity / 255 + paper;
            return red << 16 | green << 8 | blue;
        }

        long pixels(int stroke) {
            return counts[stroke];
        }

        Optional<Srgb> colour(int stroke) {
            long count = counts[stroke];
            return count == 0
                    ? Optional.empty()
                    : Optional.of(new Srgb(
                            mean(sums[3 * stroke], count),
                            mean(sums[3 * stroke + 1], count),
                            mean(sums[3 * stroke + 2], count)));
        }

        private static int mean(long sum, long count) {
            return (int) ((sum + count / 2) / count);
        }
    }
}
