package stillpond.bench.flats;

import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.PathIterator;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** Inks the outlines of flats, with the gaps and the marks that hands make. Lengths in pixels unless said otherwise. */
final class Inker {

    private final Style style;
    private final Random random;
    private final int[] top;
    private final int side;
    private final double w;
    private final float[] cover;

    /** @param top which shape is seen at each pixel; -1: none */
    Inker(Style style, Random random, int[] top) {
        this.style = style;
        this.random = random;
        this.top = top;
        this.side = style.sidePx();
        this.w = style.strokePx();
        this.cover = new float[side * side];
    }

    BufferedImage page() {
        BufferedImage page = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        byte[] grey = ((DataBufferByte) page.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < grey.length; i++) {
            grey[i] = (byte) Math.round(255 * (1 - cover[i]));
        }
        return page;
    }

    /** Inks what is seen of a shape's outline. */
    void outline(Motifs.Piece piece, int number) {
        boolean dashed = random.nextDouble() < style.dashed();
        double base = piece.area().getBounds2D().getMaxY() - 1.5 * w - 0.02 * side;
        for (List<Point2D> loop : loops(piece)) {
            List<List<Point2D>> runs = seen(loop, number, piece.outline() == Motifs.Outline.OPEN_BASE ? base : 1e9);
            for (List<Point2D> run : runs) {
                boolean closed = runs.size() == 1 && run.size() == loop.size();
                for (List<Point2D> stroke : dashed ? dashes(run) : gapped(run, closed)) {
                    draw(stroke);
                }
            }
        }
    }

    /** Marks that bound nothing: wrinkles, hatching, ticks, dots, rows like writing. */
    void marks(Motifs.Piece piece, int number) {
        List<Point2D> inside = placesIn(piece, number);
        int count = inside.isEmpty() ? 0 : (int) Math.round(-Math.log(1 - random.nextDouble()) * style.marks() * 0.7);
        for (int i = 0; i < Math.min(count, 5); i++) {
            Point2D at = inside.get(random.nextInt(inside.size()));
            double angle = Math.PI * random.nextDouble();
            switch (random.nextInt(6)) {
                case 0 -> stroke(at, angle, (3 + 7 * random.nextDouble()) * w, 0.1 * random.nextGaussian());
                case 1 -> wrinkle(piece, number);
                case 2 ->
                    row(
                            at,
                            angle,
                            3 + random.nextInt(4),
                            2.2 + random.nextDouble(),
                            angle + Math.PI / 2,
                            4 + 3 * random.nextDouble());
                case 3 -> row(at, angle, 3 + random.nextInt(3), 3, angle + 1.2, 2.5);
                case 4 -> dot(at, (0.4 + 0.5 * random.nextDouble()) * w);
                default -> row(at, 0, 3 + random.nextInt(5), 2, random.nextBoolean() ? Math.PI / 2 : 0.4, 1.8);
            }
        }
    }

    private void row(Point2D at, double along, int count, double stepStrokes, double angle, double lengthStrokes) {
        for (int i = 0; i < count; i++) {
            double reach = i * stepStrokes * w;
            Point2D from = new Point2D.Double(at.getX() + reach * Math.cos(along), at.getY() + reach * Math.sin(along));
            stroke(from, angle, lengthStrokes * w * (0.8 + 0.4 * random.nextDouble()), 0);
        }
    }

    private void stroke(Point2D from, double angle, double length, double bend) {
        List<Point2D> points = new ArrayList<>();
        double x = from.getX();
        double y = from.getY();
        double heading = angle;
        for (double walked = 0; walked <= length; walked++) {
            points.add(new Point2D.Double(x, y));
            x += Math.cos(heading);
            y += Math.sin(heading);
            heading += bend / (4 * w);
        }
        draw(points);
    }

    /** From a seen place of the outline inwards. */
    private void wrinkle(Motifs.Piece piece, int number) {
        for (List<Point2D> loop : loops(piece)) {
            List<List<Point2D>> runs = seen(loop, number, 1e9);
            if (!runs.isEmpty()) {
                List<Point2D> run = runs.get(random.nextInt(runs.size()));
                int i = random.nextInt(run.size());
                Point2D at = run.get(i);
                Point2D next = run.get((i + 1) % run.size());
                double tangent = Math.atan2(next.getY() - at.getY(), next.getX() - at.getX());
                for (double turn : new double[] {Math.PI / 2, -Math.PI / 2}) {
                    double probe = 4 * w;
                    if (topAt(
                                    at.getX() + probe * Math.cos(tangent + turn),
                                    at.getY() + probe * Math.sin(tangent + turn))
                            == number) {
                        stroke(
                                at,
                                tangent + turn + 0.5 * random.nextGaussian(),
                                (2.5 + 5 * random.nextDouble()) * w,
                                0.1 * random.nextGaussian());
                        return;
                    }
                }
            }
        }
    }

    private void dot(Point2D at, double radius) {
        int xStart = Math.max(0, (int) (at.getX() - radius - 1));
        int xEnd = Math.min(side - 1, (int) (at.getX() + radius + 1));
        int yStart = Math.max(0, (int) (at.getY() - radius - 1));
        int yEnd = Math.min(side - 1, (int) (at.getY() + radius + 1));
        for (int y = yStart; y <= yEnd; y++) {
            for (int x = xStart; x <= xEnd; x++) {
                double away = Math.hypot(x + 0.5 - at.getX(), y + 0.5 - at.getY());
                float covered = (float) Math.max(0, Math.min(1, radius + 0.5 - away));
                cover[y * side + x] = Math.max(cover[y * side + x], covered);
            }
        }
    }

    private List<Point2D> placesIn(Motifs.Piece piece, int number) {
        List<Point2D> places = new ArrayList<>();
        var box = piece.area().getBounds2D();
        for (int i = 0; i < 60; i++) {
            double x = box.getX() + random.nextDouble() * box.getWidth();
            double y = box.getY() + random.nextDouble() * box.getHeight();
            boolean roomy = true;
            for (int a = 0; a < 8 && roomy; a++) {
                roomy = topAt(x + 4 * w * Math.cos(a * Math.PI / 4), y + 4 * w * Math.sin(a * Math.PI / 4)) == number;
            }
            if (roomy && topAt(x, y) == number) {
                places.add(new Point2D.Double(x, y));
            }
        }
        return places;
    }

    /** The outline as closed loops of points about a pixel apart. */
    private List<List<Point2D>> loops(Motifs.Piece piece) {
        List<List<Point2D>> loops = new ArrayList<>();
        List<Point2D> loop = new ArrayList<>();
        double[] at = new double[6];
        Point2D start = null;
        for (PathIterator path = new FlatteningPathIterator(piece.area().getPathIterator(null), 0.1);
                !path.isDone();
                path.next()) {
            int kind = path.currentSegment(at);
            if (kind == PathIterator.SEG_MOVETO) {
                start = new Point2D.Double(at[0], at[1]);
                loop = new ArrayList<>(List.of(start));
                loops.add(loop);
            } else {
                extend(loop, kind == PathIterator.SEG_CLOSE ? start : new Point2D.Double(at[0], at[1]));
            }
        }
        loops.removeIf(each -> each.size() < 4 * w);
        return loops;
    }

    private static void extend(List<Point2D> loop, Point2D to) {
        Point2D from = loop.get(loop.size() - 1);
        int steps = (int) Math.ceil(from.distance(to));
        for (int i = 1; i <= steps; i++) {
            double t = i / (double) steps;
            loop.add(new Point2D.Double(
                    from.getX() + t * (to.getX() - from.getX()), from.getY() + t * (to.getY() - from.getY())));
        }
    }

    /** The stretches of a loop that are on the page, above the base, and not hidden by a shape in front. */
    private List<List<Point2D>> seen(List<Point2D> loop, int number, double base) {
        int n = loop.size();
        boolean[] seen = new boolean[n];
        int hidden = -1;
        for (int i = 0; i < n; i++) {
            Point2D p = loop.get(i);
            Point2D q = loop.get((i + 3) % n);
            double length = Math.max(1e-6, p.distance(q));
            double nx = -(q.getY() - p.getY()) / length * 1.6;
            double ny = (q.getX() - p.getX()) / length * 1.6;
            boolean shown =
                    topAt(p.getX() + nx, p.getY() + ny) == number || topAt(p.getX() - nx, p.getY() - ny) == number;
            seen[i] = shown && p.getY() < base;
            hidden = seen[i] ? hidden : i;
        }
        if (hidden < 0) {
            return List.of(loop);
        }
        List<List<Point2D>> runs = new ArrayList<>();
        List<Point2D> run = new ArrayList<>();
        for (int k = 1; k <= n; k++) {
            int i = (hidden + k) % n;
            if (seen[i]) {
                run.add(loop.get(i));
            } else if (!run.isEmpty()) {
                runs.add(run);
                run = new ArrayList<>();
            }
        }
        runs.removeIf(each -> each.size() < w);
        return runs;
    }

    private int topAt(double x, double y) {
        return x < 0 || y < 0 || x >= side || y >= side ? -2 : top[(int) y * side + (int) x];
    }

    /** Cuts gaps into a stretch of outline and lets some of its ends stop short. */
    private List<List<Point2D>> gapped(List<Point2D> run, boolean closed) {
        List<Point2D> points = new ArrayList<>(run);
        if (closed) {
            Collections.rotate(points, random.nextInt(points.size()));
        } else {
            int from = random.nextDouble() < style.shortEnds() ? shortBy(points) : 0;
            int to = points.size() - (random.nextDouble() < style.shortEnds() ? shortBy(points) : 0);
            points = from < to ? points.subList(from, to) : points;
        }
        int gaps = 0;
        double expected = style.gapsAStroke() * Math.min(2, points.size() / (25 * w));
        while (gaps < 4 && random.nextDouble() < expected / (1 + expected)) {
            gaps++;
        }
        List<List<Point2D>> strokes = new ArrayList<>(List.of(points));
        for (int i = 0; i < gaps; i++) {
            cut(strokes);
        }
        if (closed && gaps == 0) {
            points.add(points.get(0));
        } else if (closed && strokes.size() > 1) {
            List<Point2D> last = strokes.remove(strokes.size() - 1);
            last.addAll(strokes.remove(0));
            strokes.add(last);
        }
        return strokes;
    }

    private int shortBy(List<Point2D> points) {
        return (int) Math.min(gap() + w / 2, points.size() / 4.0);
    }

    /** Small gaps are the most frequent. */
    private double gap() {
        return (0.5 + (style.longestGap() - 0.5) * Math.pow(random.nextDouble(), 1.7)) * w;
    }

    private void cut(List<List<Point2D>> strokes) {
        List<Point2D> stroke = strokes.get(random.nextInt(strokes.size()));
        // Round caps reach half a stroke into the gap on both sides.
        int length = (int) (gap() + w);
        if (stroke.size() < length + 8 * w) {
            return;
        }
        int from = (int) (3 * w) + random.nextInt((int) (stroke.size() - length - 6 * w));
        int at = strokes.indexOf(stroke);
        List<Point2D> before = new ArrayList<>(stroke.subList(0, from));
        List<Point2D> after = new ArrayList<>(stroke.subList(from + length, stroke.size()));
        if (random.nextDouble() < 0.25) {
            missEachOther(before, (int) (length * 0.8 + w));
        }
        strokes.set(at, before);
        strokes.add(at + 1, after);
    }

    /** The stroke runs on beside where it should have met the other. */
    private void missEachOther(List<Point2D> stroke, int by) {
        Point2D end = stroke.get(stroke.size() - 1);
        Point2D before = stroke.get(Math.max(0, stroke.size() - 1 - (int) (2 * w)));
        double heading =
                Math.atan2(end.getY() - before.getY(), end.getX() - before.getX()) + 0.5 * random.nextGaussian();
        for (int i = 1; i <= by; i++) {
            stroke.add(new Point2D.Double(end.getX() + i * Math.cos(heading), end.getY() + i * Math.sin(heading)));
        }
    }

    private List<List<Point2D>> dashes(List<Point2D> run) {
        List<List<Point2D>> strokes = new ArrayList<>();
        double dash = (3 + 4 * random.nextDouble()) * w;
        double gap = (1.8 + 1.5 * random.nextDouble()) * w;
        for (double at = 0; at < run.size(); at += dash + gap) {
            strokes.add(run.subList((int) at, (int) Math.min(run.size(), at + dash)));
        }
        return strokes;
    }

    private void draw(List<Point2D> stroke) {
        double phase = 100 * random.nextDouble();
        double wander = style.shake() * w;
        int n = stroke.size();
        int step = Math.max(1, (int) (w / 7));
        for (int k = 0; k < n + step - 1; k += step) {
            int i = Math.min(k, n - 1);
            Point2D p = stroke.get(i);
            double fromEnd = Math.min(i, n - 1 - i) / (6 * w);
            double thin = 1 - style.taper() * 0.65 * Math.max(0, 1 - fromEnd);
            double dx = wander * Math.sin((i + phase) / (4.1 * w)) * Math.cos((i - phase) / (7.3 * w));
            double dy = wander * Math.cos((i + phase) / (5.3 * w)) * Math.sin((i - phase) / (3.7 * w));
            dot(new Point2D.Double(p.getX() + dx, p.getY() + dy), w / 2 * thin);
        }
    }
}
