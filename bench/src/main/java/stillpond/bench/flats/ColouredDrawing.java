package stillpond.bench.flats;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import stillpond.core.cell.DistanceField;
import stillpond.core.cell.PairCounts;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.ink.StrokeWidth;

/**
 * A finished drawing taken apart into line art and flats, so that it becomes a case: dark is ink, one colour is a flat, and gaps are those that the artist left. Two
 * colours with ink along less than half of their common border are one region.
 */
final class ColouredDrawing {

    /** Ink: no channel over this, and channels no further apart than the next. */
    private static final int DARK = 72;

    private static final int NEARLY_GREY = 32;

    /** So near ink, pixels are mixtures with it. In pixels. */
    private static final double MIXED = 2;

    /** A colour counts from this share of the page on. */
    private static final double LEAST_COLOUR = 0.0006;

    private static final double BACKED = 0.5;

    /** Regions under this share of the page, or so many squared stroke widths, or shallower than so many, do not count. */
    private static final double LEAST_AREA = 0.0005;

    private static final double LEAST_STROKES_SQUARED = 6;
    private static final double LEAST_DEPTH_STROKES = 0.7;

    /** What a disc of this diameter, in stroke widths, does not fit into is a fringe. */
    private static final double FRINGE_STROKES = 0.8;

    /** White around the drawing, so that what touches its edge does not part the outside. */
    private static final int MARGIN_PX = 36;

    private static final int OUTSIDE = 1;
    private static final int NONE = -1;

    /** Which drawings are taken. */
    record Limits(double leastInk, double mostInk, int leastColours, int mostColours, double covered) {

        /** Those that are measured. */
        static final Limits MEASURED = new Limits(0.02, 0.28, 3, 24, 0.965);

        /** Those good enough to be fitted to besides: more ink, some gradients. */
        static final Limits FITTED = new Limits(0.01, 0.4, 2, 60, 0.9);
    }

    private static final double LEAST_STROKE_PX = 2.5;
    private static final double MOST_STROKE_PX = 24;

    private final int width;
    private final int height;
    private final int[] rgb;
    private final boolean[] ink;
    private final DistanceField toInk;

    private ColouredDrawing(Picture picture) {
        this.width = picture.widthPx() + 2 * MARGIN_PX;
        this.height = picture.heightPx() + 2 * MARGIN_PX;
        this.rgb = new int[width * height];
        Arrays.fill(rgb, 0xffffff);
        for (int i = 0; i < picture.argb().length; i++) {
            int x = i % picture.widthPx() + MARGIN_PX;
            int y = i / picture.widthPx() + MARGIN_PX;
            rgb[y * width + x] = overWhite(picture.argb()[i]);
        }
        this.ink = new boolean[rgb.length];
        for (int i = 0; i < rgb.length; i++) {
            ink[i] = isDark(rgb[i]);
        }
        this.toInk = DistanceField.to(width, height, i -> ink[i]);
    }

    /** Empty if the drawing is none of those that are taken. */
    static Optional<Case> toCase(String name, Picture picture, Limits limits) {
        return new ColouredDrawing(picture).toCase(name, limits);
    }

    private Optional<Case> toCase(String name, Limits limits) {
        long inkPixels = 0;
        for (boolean each : ink) {
            inkPixels += each ? 1 : 0;
        }
        double share = inkPixels / (double) ink.length;
        if (share < limits.leastInk() || share > limits.mostInk()) {
            return Optional.empty();
        }
        double stroke = StrokeWidth.of(new InkPlane(width, height, inkDensity(), 128));
        if (stroke < LEAST_STROKE_PX || stroke > MOST_STROKE_PX) {
            return Optional.empty();
        }
        Map<Integer, Integer> colours = colours();
        long clear = colours.values().stream().mapToLong(count -> count).sum();
        colours.values().removeIf(count -> count < LEAST_COLOUR * rgb.length);
        long covered = colours.values().stream().mapToLong(count -> count).sum();
        if (colours.size() < limits.leastColours()
                || colours.size() > limits.mostColours()
                || covered < limits.covered() * clear) {
            return Optional.empty();
        }
        return truth(name, colours, stroke);
    }

    private byte[] inkDensity() {
        byte[] density = new byte[ink.length];
        for (int i = 0; i < ink.length; i++) {
            density[i] = (byte) (ink[i] ? 255 : 0);
        }
        return density;
    }

    /** The colours away from ink, and how often each is there. */
    private Map<Integer, Integer> colours() {
        Map<Integer, Integer> counts = new HashMap<>();
        for (int i = 0; i < rgb.length; i++) {
            if (toInk.distancePx(i) > MIXED) {
                counts.merge(rgb[i], 1, Integer::sum);
            }
        }
        return counts;
    }

    private Optional<Case> truth(String name, Map<Integer, Integer> colours, double stroke) {
        int[] piece = pieces(colours);
        int count = Arrays.stream(piece).max().orElse(NONE) + 1;
        DistanceField toDecided = DistanceField.to(width, height, i -> piece[i] >= 0);
        int[] spread = new int[piece.length];
        Arrays.setAll(spread, i -> piece[toDecided.nearest(i)]);
        int[] group = joined(spread, count);
        boolean[] outside = outside(piece, group);
        int[] groups = new int[spread.length];
        Arrays.setAll(groups, i -> group[spread[i]]);
        int[] labels = new int[spread.length];
        List<Case.TruthRegion> regions = regions(groups, count, outside, stroke, labels);
        return regions.isEmpty() ? Optional.empty() : Optional.of(new Case(name, lineArt(toDecided), labels, regions));
    }

    /** Connected pixels of one colour; {@link #NONE} where there is ink or a mixture. */
    private int[] pieces(Map<Integer, Integer> colours) {
        int[] piece = new int[rgb.length];
        Arrays.fill(piece, NONE);
        int count = 0;
        Deque<Integer> front = new ArrayDeque<>();
        for (int i = 0; i < rgb.length; i++) {
            if (piece[i] == NONE && !ink[i] && colours.containsKey(rgb[i])) {
                piece[i] = count;
                front.add(i);
                while (!front.isEmpty()) {
                    int at = front.poll();
                    for (int side = 0; side < 4; side++) {
                        int beside = beside(at, side);
                        if (beside >= 0 && piece[beside] == NONE && !ink[beside] && rgb[beside] == rgb[at]) {
                            piece[beside] = count;
                            front.add(beside);
                        }
                    }
                }
                count++;
            }
        }
        return piece;
    }

    /** Puts those together that ink does not part. */
    private int[] joined(int[] spread, int count) {
        PairCounts all = new PairCounts();
        PairCounts backed = new PairCounts();
        forEachBorder(spread, (i, beside) -> {
            int a = Math.min(spread[i], spread[beside]);
            int b = Math.max(spread[i], spread[beside]);
            all.add(a, b, 1);
            backed.add(a, b, ink[i] || ink[beside] ? 1 : 0);
        });
        Map<Long, Long> backedOf = new HashMap<>();
        backed.forEach((a, b, length) -> backedOf.put((long) a << 32 | b, length));
        int[] parent = new int[count];
        Arrays.setAll(parent, i -> i);
        all.forEach((a, b, length) -> {
            if (backedOf.get((long) a << 32 | b) < BACKED * length) {
                int rootA = root(parent, a);
                int rootB = root(parent, b);
                parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
            }
        });
        int[] group = new int[count];
        Arrays.setAll(group, i -> root(parent, i));
        return group;
    }

    private static int root(int[] parent, int member) {
        int at = member;
        while (parent[at] != at) {
            at = parent[at];
        }
        return at;
    }

    /** White that reaches the edge of the page, and what is one with it. */
    private boolean[] outside(int[] piece, int[] group) {
        boolean[] outside = new boolean[group.length];
        for (int i = 0; i < piece.length; i++) {
            int x = i % width;
            int y = i / width;
            boolean atEdge = x == 0 || y == 0 || x == width - 1 || y == height - 1;
            if (atEdge && piece[i] >= 0 && rgb[i] == 0xffffff) {
                outside[group[piece[i]]] = true;
            }
        }
        return outside;
    }

    private List<Case.TruthRegion> regions(int[] groups, int count, boolean[] outside, double stroke, int[] labels) {
        DistanceField toBorder = DistanceField.to(width, height, i -> ink[i] || isBorder(groups, i));
        boolean[] core = new boolean[groups.length];
        for (int i = 0; i < core.length; i++) {
            core[i] = toBorder.distancePx(i) > FRINGE_STROKES / 2 * stroke;
        }
        DistanceField toCore = DistanceField.to(width, height, i -> core[i]);
        int[] area = new int[count];
        int[] deepest = new int[count];
        Arrays.fill(deepest, NONE);
        boolean[] fringe = new boolean[groups.length];
        for (int i = 0; i < groups.length; i++) {
            int nearest = toCore.nearest(i);
            fringe[i] = ink[i]
                    || nearest < 0
                    || groups[nearest] != groups[i]
                    || toCore.distancePx(i) > FRINGE_STROKES / 2 * stroke + 0.5;
            if (!fringe[i]) {
                area[groups[i]]++;
                int best = deepest[groups[i]];
                deepest[groups[i]] = best == NONE || toBorder.distancePx(i) > toBorder.distancePx(best) ? i : best;
            }
        }
        double[] support = support(groups, count);
        List<Case.TruthRegion> regions = new ArrayList<>();
        int[] label = new int[count];
        for (int each = 0; each < count; each++) {
            if (outside[each]) {
                label[each] = OUTSIDE;
            } else if (deepest[each] != NONE
                    && area[each] >= LEAST_AREA * groups.length
                    && area[each] >= LEAST_STROKES_SQUARED * stroke * stroke
                    && toBorder.distancePx(deepest[each]) >= LEAST_DEPTH_STROKES * stroke) {
                label[each] = regions.size() + 2;
                int at = deepest[each];
                regions.add(new Case.TruthRegion(
                        label[each], area[each], support[each], at % width, at / width, toBorder.distancePx(at)));
            }
        }
        Arrays.setAll(labels, i -> fringe[i] ? 0 : label[groups[i]]);
        return regions;
    }

    private boolean isBorder(int[] groups, int i) {
        for (int side = 0; side < 4; side++) {
            int beside = beside(i, side);
            if (beside >= 0 && groups[beside] != groups[i]) {
                return true;
            }
        }
        return false;
    }

    private double[] support(int[] groups, int count) {
        double[] backed = new double[count];
        double[] all = new double[count];
        forEachBorder(groups, (i, beside) -> {
            double one = ink[i] || ink[beside] ? 1 : 0;
            all[groups[i]]++;
            all[groups[beside]]++;
            backed[groups[i]] += one;
            backed[groups[beside]] += one;
        });
        double[] support = new double[count];
        Arrays.setAll(support, i -> all[i] == 0 ? 1 : backed[i] / all[i]);
        return support;
    }

    private interface Edge {
        void between(int pixel, int beside);
    }

    private void forEachBorder(int[] parts, Edge edge) {
        for (int i = 0; i < parts.length; i++) {
            if (i % width < width - 1 && parts[i] != parts[i + 1]) {
                edge.between(i, i + 1);
            }
            if (i + width < parts.length && parts[i] != parts[i + width]) {
                edge.between(i, i + width);
            }
        }
    }

    /** The ink with its soft edge: how far a pixel beside it lies between the ink and the flat nearest to it. */
    private BufferedImage lineArt(DistanceField toDecided) {
        BufferedImage line = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        byte[] grey = ((DataBufferByte) line.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < grey.length; i++) {
            if (ink[i]) {
                grey[i] = (byte) luma(rgb[i]);
            } else if (toInk.distancePx(i) > 1.5) {
                grey[i] = (byte) 255;
            } else {
                double dark = luma(rgb[toInk.nearest(i)]);
                double flat = luma(rgb[toDecided.nearest(i)]);
                double part = flat - dark < 40 ? 1 : Math.max(0, Math.min(1, (luma(rgb[i]) - dark) / (flat - dark)));
                grey[i] = (byte) Math.round(dark + part * (255 - dark));
            }
        }
        return line;
    }

    private int beside(int i, int side) {
        int x = i % width + (side == 0 ? 1 : side == 1 ? -1 : 0);
        int y = i / width + (side == 2 ? 1 : side == 3 ? -1 : 0);
        return x < 0 || y < 0 || x >= width || y >= height ? NONE : y * width + x;
    }

    private static boolean isDark(int rgb) {
        int red = rgb >> 16 & 0xff;
        int green = rgb >> 8 & 0xff;
        int blue = rgb & 0xff;
        int most = Math.max(red, Math.max(green, blue));
        return most < DARK && most - Math.min(red, Math.min(green, blue)) <= NEARLY_GREY;
    }

    private static int overWhite(int argb) {
        int alpha = argb >>> 24;
        int red = ((argb >> 16 & 0xff) * alpha + 255 * (255 - alpha)) / 255;
        int green = ((argb >> 8 & 0xff) * alpha + 255 * (255 - alpha)) / 255;
        int blue = ((argb & 0xff) * alpha + 255 * (255 - alpha)) / 255;
        return red << 16 | green << 8 | blue;
    }

    private static double luma(int rgb) {
        return 0.2126 * (rgb >> 16 & 0xff) + 0.7152 * (rgb >> 8 & 0xff) + 0.0722 * (rgb & 0xff);
    }
}
