package stillpond.core.plate;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.render.Shrunk;

/**
 * A press, simulated: what plates look like when they are printed, and how far that is from what the screen showed.
 *
 * <p>Ink spreads on paper: where a plate covers a share {@code a}, {@code a + 4 g a (1 - a)} is covered in print, with {@code g} the gain in the middle tones; the parabola that tone value
 * increase is commonly modelled with, beside what the print condition's own profile has of it. Inks of their own lie over the process inks as a filter does.
 */
public final class PressRun {

    private static final int FULL = 255;
    private static final int PROCESS = 4;
    private static final int OPAQUE = 0xff000000;
    private static final int MOST_GAIN_PERCENT = 40;
    private static final double PARABOLA = 4;
    private static final int RGB = 0xffffff;

    private PressRun() {}

    /**
     * What comes of plates.
     *
     * @param print on the paper
     * @param difference from the screen, as an eye sees it that takes the paper for white: white where there is none, black where it is {@link #STARK} or more
     * @param meanDifference CIEDE2000, over all pixels
     * @param tellable the share of pixels where somebody could tell the two apart, 0 to 1
     */
    public record Printed(Picture print, Picture difference, double meanDifference, double tellable) {}

    /** CIEDE2000 of colours that nobody would take for each other. */
    public static final double STARK = 20;

    /**
     * How a press prints.
     *
     * @param gainPercent by how much a half covered place is covered more, 0 to {@value #MOST_GAIN_PERCENT}
     * @param paper where nothing is printed
     */
    public record Paper(PrintCondition condition, int gainPercent, Srgb paper) {
        public Paper {
            if (gainPercent < 0 || gainPercent > MOST_GAIN_PERCENT) {
                throw new Refusal("A dot gains 0 to " + MOST_GAIN_PERCENT + " %.");
            }
        }
    }

    /**
     * @param screen what was to be printed, as large as the plates
     * @param spots what inks of their own look like where they cover all, in the order of their plates
     * @param longSidePx of what comes of it; a print is looked at from further away than plates
     */
    public static Printed of(Plates plates, Picture screen, List<Srgb> spots, Paper paper, int longSidePx) {
        if (spots.size() != plates.plates().size() - PROCESS) {
            throw new Refusal("Each plate of an ink of its own needs the colour of that ink.");
        }
        Picture seen = Shrunk.to(screen, longSidePx);
        int width = seen.widthPx();
        int height = seen.heightPx();
        int[][] covered = plates.plates().stream()
                .map(plate -> shrunk(plate.coverage(), plates.widthPx(), plates.heightPx(), width, height))
                .toArray(int[][]::new);
        int[] gain = gain(paper.gainPercent());
        Map<Integer, Integer> process = new HashMap<>();
        Map<Long, Double> differences = new HashMap<>();
        int[] print = new int[width * height];
        int[] difference = new int[print.length];
        double sum = 0;
        int tellable = 0;
        for (int i = 0; i < print.length; i++) {
            int key = gain[covered[0][i]] << 24
                    | gain[covered[1][i]] << 16
                    | gain[covered[2][i]] << 8
                    | gain[covered[3][i]];
            int colour = process.computeIfAbsent(key, shares -> onWhite(shares, paper));
            for (int spot = 0; spot < spots.size(); spot++) {
                colour = filtered(colour, spots.get(spot), gain[covered[PROCESS + spot][i]] / (double) FULL);
            }
            print[i] = OPAQUE | filtered(paper.paper().packed(), Srgb.ofPacked(colour), 1);
            int wanted = seen.argb()[i] & RGB;
            int shown = colour;
            double away = differences.computeIfAbsent(
                    (long) shown << 32 | wanted, any -> Ciede2000.between(Srgb.ofPacked(shown), Srgb.ofPacked(wanted)));
            sum += away;
            tellable += away > Ciede2000.HARD_TO_TELL ? 1 : 0;
            int grey = (int) Math.round(FULL * (1 - Math.min(1, away / STARK)));
            difference[i] = OPAQUE | grey << 16 | grey << 8 | grey;
        }
        return new Printed(
                new Picture(width, height, print),
                new Picture(width, height, difference),
                sum / print.length,
                tellable / (double) print.length);
    }

    /** The share that is covered in print, by the share on the plate. */
    private static int[] gain(int percent) {
        return IntStream.rangeClosed(0, FULL)
                .map(value -> {
                    double share = value / (double) FULL;
                    return (int)
                            Math.round(FULL * Math.min(1, share + PARABOLA * percent / 100.0 * share * (1 - share)));
                })
                .toArray();
    }

    private static int onWhite(int shares, Paper paper) {
        return paper.condition()
                .shown(new Cmyk(
                        (shares >>> 24) / (double) FULL,
                        (shares >>> 16 & FULL) / (double) FULL,
                        (shares >>> 8 & FULL) / (double) FULL,
                        (shares & FULL) / (double) FULL))
                .packed();
    }

    /** What light is left of a colour behind a filter that covers a share. */
    private static int filtered(int colour, Srgb filter, double share) {
        if (share == 0) {
            return colour;
        }
        return channel(colour >>> 16 & FULL, filter.red(), share) << 16
                | channel(colour >>> 8 & FULL, filter.green(), share) << 8
                | channel(colour & FULL, filter.blue(), share);
    }

    private static int channel(int under, int filter, double share) {
        return (int) Math.round(under * (1 - share + share * filter / FULL));
    }

    /** Means of the pixels that become one. */
    private static int[] shrunk(byte[] coverage, int width, int height, int toWidth, int toHeight) {
        int[] shrunk = new int[toWidth * toHeight];
        IntStream.range(0, toHeight).parallel().forEach(y -> {
            int fromY = (int) ((long) y * height / toHeight);
            int endY = Math.max(fromY + 1, (int) ((long) (y + 1) * height / toHeight));
            for (int x = 0; x < toWidth; x++) {
                int fromX = (int) ((long) x * width / toWidth);
                int endX = Math.max(fromX + 1, (int) ((long) (x + 1) * width / toWidth));
                long sum = 0;
                for (int row = fromY; row < endY; row++) {
                    for (int column = fromX; column < endX; column++) {
                        sum += coverage[row * width + column] & FULL;
                    }
                }
                long pixels = (long) (endY - fromY) * (endX - fromX);
                shrunk[y * toWidth + x] = (int) ((sum + pixels / 2) / pixels);
            }
        });
        return shrunk;
    }
}
