package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Outline;

/**
 * A closed shape of a sheet that is blocked in. It makes the cell of its number.
 *
 * @param number 1 to {@link #MOST_NUMBER}; 0 is the ground that no shape covers
 * @param loops closed curves: what an odd number of them runs around is inside. Mostly one; more where there is a hole, or where it lies in parts
 * @param edge the ink along its border
 */
public record Shape(int number, List<Outline> loops, Edge edge) {

    public static final int MOST_NUMBER = 4000;

    private static final int MOST_LOOPS = 200;

    /** A shape that covers less than a pixel is none. */
    private static final double LEAST_AREA_PX = 1;

    public Shape {
        loops = List.copyOf(loops);
        if (number < 1 || number > MOST_NUMBER) {
            throw new Refusal("Shapes are numbered from 1 to 4,000.");
        }
        if (loops.isEmpty() || loops.size() > MOST_LOOPS) {
            throw new Refusal("A shape has one border at the least, and 200 at the most.");
        }
    }

    public static Shape of(int number, Outline outline) {
        return new Shape(number, List.of(outline), Edge.NONE);
    }

    /** @throws Refusal with a word for the user if it covers nothing */
    public Shape required() {
        if (Math.abs(areaPx()) < LEAST_AREA_PX) {
            throw new Refusal(
                    "A shape that covers nothing cannot be filled. Its points lie on one line, or on one place.");
        }
        return this;
    }

    /** What its borders run around, one by one and added up. */
    public double areaPx() {
        return loops.stream()
                .mapToDouble(loop -> Math.abs(Flat.doubleArea(Flat.polygon(loop))) / 2)
                .sum();
    }

    public Shape numbered(int other) {
        return new Shape(other, loops, edge);
    }

    public Shape edged(Edge other) {
        return new Shape(number, loops, other);
    }

    public Shape with(List<Outline> others) {
        return new Shape(number, others, edge);
    }

    public Shape placed(UnaryOperator<Point> placing) {
        return with(loops.stream().map(loop -> loop.placed(placing)).toList());
    }

    public boolean has(double x, double y) {
        return loops.stream()
                                .filter(loop -> Flat.winding(Flat.polygon(loop), x, y) != 0)
                                .count()
                        % 2
                == 1;
    }

    public boolean crossesItself() {
        return loops.stream().anyMatch(Outline::crossesItself);
    }

    List<List<Point>> polygons() {
        List<List<Point>> polygons = new ArrayList<>();
        loops.forEach(loop -> polygons.add(Flat.polygon(loop)));
        return polygons;
    }

    /** The pixels that it, with the ink along its border, may lie on; some may be beside the page. */
    public Box box() {
        return Rows.around(polygons(), edge.widthPx() / 2 + 2);
    }

    /** The centre of mass of what its first border runs around. */
    public Point centroid() {
        List<Point> polygon = Flat.polygon(loops.get(0));
        double x = 0;
        double y = 0;
        double area = 0;
        Point a = polygon.get(polygon.size() - 1);
        for (Point b : polygon) {
            double cross = a.x() * b.y() - b.x() * a.y();
            x += (a.x() + b.x()) * cross;
            y += (a.y() + b.y()) * cross;
            area += cross;
            a = b;
        }
        return area == 0 ? middle() : new Point(x / (3 * area), y / (3 * area));
    }

    /** The middle of the box around its border. */
    public Point middle() {
        Box box = Rows.around(polygons(), 0);
        return new Point((box.xStart() + box.xEndExclusive()) / 2.0, (box.yStart() + box.yEndExclusive()) / 2.0);
    }
}
