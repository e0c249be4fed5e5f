package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.LinearRgb;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.gap.Point;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.SmoothMap;

/**
 * The few big shapes of a picture, as somebody would block them in. The picture is made small and cut into {@link Superpixels}; patches are merged, the pair first that loses least by it: what their colours in OKLab differ, weighed by their areas (J. Ward, "Hierarchical grouping to
 * optimize an objective function", 1963), and less where they share much of their borders. Edges are smoothed by letting each pixel go with most of those around it, and fitted by curves that neighbours share.
 */
public final class BigShapes {

    public static final int MOST = 60;

    private static final int LONG_SIDE = 320;
    private static final int FEWEST_PATCHES = 700;
    private static final int MOST_PATCHES = 2600;
    /** Neighbours whose colours differ by less than this, in OKLab, are one, however many shapes are asked for. */
    private static final double ALIKE = 0.035;

    private static final int MOST_SMOOTHINGS = 3;
    private static final int SMOOTH_RADIUS = 3;
    /** How far curves may be from the edges of pixels, in pixels of the small picture. */
    private static final double TOLERANCE = 1.3;
    /** What is smaller than this share of the picture is never a shape of its own, however much detail is wanted. */
    private static final double LEAST_SHARE = 0.0004;
    /** And without detail what is smaller than this. */
    private static final double COARSE_SHARE = 0.02;

    private final int width;
    private final int height;
    private final double[][] lab;
    private int[] labels;

    private BigShapes(int width, int height, double[][] lab) {
        this.width = width;
        this.height = height;
        this.lab = lab;
    }

    /**
     * A shape that is suggested.
     *
     * @param loops in pixels of the picture; neighbours share their curves
     * @param colour the mean of its pixels, without those near its edge
     * @param share of the picture
     */
    public record Suggested(List<Outline> loops, Srgb colour, double share) {}

    /**
     * @param count how many shapes at the most, 2 to 60
     * @param detail 0: only what is large; 1: small things too
     * @return largest first
     * @throws Refusal if the picture has nothing to tell apart
     */
    public static List<Suggested> of(Picture picture, int count, double detail) {
        if (count < 2 || count > MOST) {
            throw new Refusal("Ask for 2 to 60 shapes, not " + count + ".");
        }
        if (picture.widthPx() < 8 || picture.heightPx() < 8) {
            throw new Refusal("This picture is only " + picture.widthPx() + " x " + picture.heightPx()
                    + " pixels large; there are no shapes to be seen in it.");
        }
        BigShapes shapes = small(picture);
        double fine = Math.max(0, Math.min(1, detail));
        int patches = (int) Math.round(FEWEST_PATCHES + fine * (MOST_PATCHES - FEWEST_PATCHES));
        shapes.labels = Superpixels.of(shapes.width, shapes.height, shapes.lab, patches);
        double least = COARSE_SHARE * Math.pow(LEAST_SHARE / COARSE_SHARE, fine);
        shapes.merge(count, least * shapes.labels.length);
        for (int i = 0; i < MOST_SMOOTHINGS - Math.round(fine); i++) {
            shapes.smooth();
        }
        shapes.dropSpecks(least * shapes.labels.length);
        return shapes.outlined(picture.widthPx() / (double) shapes.width, picture.heightPx() / (double) shapes.height);
    }

    private static BigShapes small(Picture picture) {
        double factor = Math.min(1, LONG_SIDE / (double) Math.max(picture.widthPx(), picture.heightPx()));
        int width = Math.max(4, (int) Math.round(picture.widthPx() * factor));
        int height = Math.max(4, (int) Math.round(picture.heightPx() * factor));
        double[][] lab = new double[width * height][];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                Oklab mean = mean(picture, x, y, width, height);
                lab[y * width + x] = new double[] {mean.lightness(), mean.a(), mean.b()};
            }
        }
        return new BigShapes(width, height, lab);
    }

    /** In linear light, over white. */
    private static Oklab mean(Picture picture, int x, int y, int width, int height) {
        int left = (int) ((long) x * picture.widthPx() / width);
        int right = Math.max(left + 1, (int) ((long) (x + 1) * picture.widthPx() / width));
        int top = (int) ((long) y * picture.heightPx() / height);
        int bottom = Math.max(top + 1, (int) ((long) (y + 1) * picture.heightPx() / height));
        int step = Math.max(1, Math.min(right - left, bottom - top) / 6);
        double red = 0;
        double green = 0;
        double blue = 0;
        int count = 0;
        for (int py = top; py < bottom; py += step) {
            for (int px = left; px < right; px += step) {
                int pixel = picture.argbAt(px, py);
                double alpha = (pixel >>> 24) / 255.0;
                red += alpha * LinearRgb.decode(pixel >> 16 & 0xff) + 1 - alpha;
                green += alpha * LinearRgb.decode(pixel >> 8 & 0xff) + 1 - alpha;
                blue += alpha * LinearRgb.decode(pixel & 0xff) + 1 - alpha;
                count++;
            }
        }
        return Oklab.of(new LinearRgb(red / count, green / count, blue / count));
    }

    /** A patch, or several that were merged. */
    private static final class Patch {
        private final double[] sum = new double[3];
        private double area;
        private int border;
        private final Map<Integer, Integer> beside = new HashMap<>();

        double difference(Patch other) {
            double square = 0;
            for (int i = 0; i < sum.length; i++) {
                double apart = sum[i] / area - other.sum[i] / other.area;
                square += apart * apart;
            }
            return square;
        }
    }

    private void merge(int count, double leastArea) {
        int patches = Arrays.stream(labels).max().orElse(0) + 1;
        Patch[] all = new Patch[patches];
        Arrays.setAll(all, i -> new Patch());
        for (int at = 0; at < labels.length; at++) {
            Patch patch = all[labels[at]];
            patch.area++;
            for (int i = 0; i < 3; i++) {
                patch.sum[i] += lab[at][i];
            }
            if (at % width > 0) {
                touch(all, labels[at], labels[at - 1]);
            }
            if (at >= width) {
                touch(all, labels[at], labels[at - width]);
            }
        }
        int[] into = IntStream.range(0, patches).toArray();
        Set<Integer> left = new HashSet<>();
        for (int i = 0; i < patches; i++) {
            left.add(i);
        }
        while (left.size() > 1) {
            int[] pair = cheapest(all, left, left.size() > count ? Double.POSITIVE_INFINITY : leastArea);
            if (pair == null) {
                break;
            }
            join(all, pair[0], pair[1]);
            into[pair[1]] = pair[0];
            left.remove(pair[1]);
        }
        for (int at = 0; at < labels.length; at++) {
            int label = labels[at];
            while (into[label] != label) {
                label = into[label];
            }
            labels[at] = label;
        }
    }

    private static void touch(Patch[] all, int one, int other) {
        if (one != other) {
            all[one].beside.merge(other, 1, Integer::sum);
            all[other].beside.merge(one, 1, Integer::sum);
            all[one].border++;
            all[other].border++;
        }
    }

    /** The two neighbours that lose least if they are merged, one of which is smaller than an area, or which are alike; null if there are none. */
    private static int[] cheapest(Patch[] all, Set<Integer> left, double smallerThan) {
        double least = Double.POSITIVE_INFINITY;
        int[] best = null;
        for (int one : left) {
            Patch first = all[one];
            for (Map.Entry<Integer, Integer> side : first.beside.entrySet()) {
                int other = side.getKey();
                Patch second = all[other];
                boolean isSmall = first.area < smallerThan || second.area < smallerThan;
                if (other < one || !isSmall && first.difference(second) > ALIKE * ALIKE) {
                    continue;
                }
                double shared = side.getValue() / (double) Math.min(first.border, second.border);
                double loss = first.area
                        * second.area
                        / (first.area + second.area)
                        * (first.difference(second) + 1e-5)
                        / (0.3 + shared);
                if (loss < least) {
                    least = loss;
                    best = new int[] {one, other};
                }
            }
        }
        return best;
    }

    private static void join(Patch[] all, int one, int other) {
        Patch into = all[one];
        Patch gone = all[other];
        into.area += gone.area;
        into.border += gone.border - 2 * gone.beside.get(one);
        for (int i = 0; i < into.sum.length; i++) {
            into.sum[i] += gone.sum[i];
        }
        gone.beside.forEach((side, length) -> {
            all[side].beside.remove(other);
            if (side != one) {
                into.beside.merge(side, length, Integer::sum);
                all[side].beside.merge(one, length, Integer::sum);
            }
        });
        into.beside.remove(other);
    }

    /** Each pixel goes with most of those around it. */
    private void smooth() {
        int[] smoothed = labels.clone();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                if (isInside(x, y)) {
                    continue;
                }
                Map<Integer, Integer> votes = new HashMap<>();
                for (int dy = -SMOOTH_RADIUS; dy <= SMOOTH_RADIUS; dy++) {
                    for (int dx = -SMOOTH_RADIUS; dx <= SMOOTH_RADIUS; dx++) {
                        int px = Math.max(0, Math.min(width - 1, x + dx));
                        int py = Math.max(0, Math.min(height - 1, y + dy));
                        if (dx * dx + dy * dy <= SMOOTH_RADIUS * SMOOTH_RADIUS) {
                            votes.merge(labels[py * width + px], 1, Integer::sum);
                        }
                    }
                }
                int own = labels[y * width + x];
                int best = own;
                for (Map.Entry<Integer, Integer> vote : votes.entrySet()) {
                    best = vote.getValue() > votes.get(best) ? vote.getKey() : best;
                }
                smoothed[y * width + x] = best;
            }
        }
        labels = smoothed;
    }

    private boolean isInside(int x, int y) {
        int own = labels[y * width + x];
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int px = Math.max(0, Math.min(width - 1, x + dx));
                int py = Math.max(0, Math.min(height - 1, y + dy));
                if (labels[py * width + px] != own) {
                    return false;
                }
            }
        }
        return true;
    }

    /** What smoothing has cut off and is small goes to what lies around it; what is large enough is a shape of its own. */
    private void dropSpecks(double leastArea) {
        int[] pieces = new int[labels.length];
        Arrays.fill(pieces, -1);
        List<List<Integer>> all = new ArrayList<>();
        for (int start = 0; start < labels.length; start++) {
            if (pieces[start] < 0) {
                all.add(flood(start, all.size(), pieces));
            }
        }
        all.stream().filter(piece -> piece.size() < leastArea).forEach(piece -> {
            Map<Integer, Integer> around = new HashMap<>();
            for (int at : piece) {
                for (int side : sides(at)) {
                    if (pieces[side] != pieces[piece.get(0)]) {
                        around.merge(pieces[side], 1, Integer::sum);
                    }
                }
            }
            around.entrySet().stream()
                    .max(Map.Entry.<Integer, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                    .ifPresent(most -> {
                        all.get(most.getKey()).addAll(piece);
                        piece.forEach(at -> pieces[at] = most.getKey());
                    });
        });
        labels = pieces;
    }

    private List<Integer> flood(int start, int number, int[] pieces) {
        List<Integer> piece = new ArrayList<>(List.of(start));
        pieces[start] = number;
        for (int i = 0; i < piece.size(); i++) {
            for (int side : sides(piece.get(i))) {
                if (pieces[side] < 0 && labels[side] == labels[start]) {
                    pieces[side] = number;
                    piece.add(side);
                }
            }
        }
        return piece;
    }

    private int[] sides(int at) {
        int x = at % width;
        return IntStream.of(x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width)
                .filter(side -> side >= 0 && side < labels.length)
                .toArray();
    }

    private List<Suggested> outlined(double xScale, double yScale) {
        SmoothMap map = SmoothMap.of(new CellPlane(width, height, labels), face -> face, TOLERANCE);
        Map<Integer, double[]> colours = new HashMap<>();
        Map<Integer, Integer> areas = new HashMap<>();
        for (int at = 0; at < labels.length; at++) {
            areas.merge(labels[at], 1, Integer::sum);
            double weight = isInside(at % width, at / width) ? 1 : 1e-6;
            double[] sum = colours.computeIfAbsent(labels[at], any -> new double[4]);
            for (int i = 0; i < 3; i++) {
                sum[i] += weight * lab[at][i];
            }
            sum[3] += weight;
        }
        List<Suggested> suggested = new ArrayList<>();
        areas.forEach((label, area) -> {
            double[] sum = colours.get(label);
            Srgb colour = new Oklab(sum[0] / sum[3], sum[1] / sum[3], sum[2] / sum[3])
                    .linear()
                    .clipped();
            List<Outline> loops = map.around(label).stream()
                    .filter(loop -> loop.size() > 1)
                    .map(loop -> outline(loop, xScale, yScale))
                    .toList();
            if (!loops.isEmpty()) {
                suggested.add(new Suggested(loops, colour, area / (double) labels.length));
            }
        });
        suggested.sort((one, other) -> Double.compare(other.share(), one.share()));
        return suggested;
    }

    private static Outline outline(List<Cubic> loop, double xScale, double yScale) {
        return Outline.of(loop.stream()
                .map(curve -> new Cubic(
                        curve.x0() * xScale,
                        curve.y0() * yScale,
                        curve.x1() * xScale,
                        curve.y1() * yScale,
                        curve.x2() * xScale,
                        curve.y2() * yScale,
                        curve.x3() * xScale,
                        curve.y3() * yScale))
                .toList());
    }

    /** The same on a sheet that the picture lies on. */
    public static List<Suggested> onSheet(List<Suggested> suggested, Reference reference, int width, int height) {
        return suggested.stream()
                .map(each -> new Suggested(
                        each.loops().stream()
                                .map(loop ->
                                        loop.placed(at -> reference.onSheet(new Point(at.x(), at.y()), width, height)))
                                .toList(),
                        each.colour(),
                        each.share()))
                .toList();
    }
}
