package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shape.Length;

/** Lines that divide a region of line art evenly, as dams drawn by hand: those of {@link Even}, as far as they lie in the region. */
public final class EvenDams {

    /** A stretch that is shorter divides nothing. */
    private static final double SHORTEST_PX = 3;

    private EvenDams() {}

    /**
     * @param cells of the region
     * @param centre of spokes and rings, which others are turned around
     * @return lines of two points or more, in pixels of the page
     * @throws Refusal if nothing is to be divided, or the centre lies beside the page, which lines might be endless from
     */
    public static List<List<Point>> lines(CellMap map, Set<Integer> cells, Even even, Point centre) {
        Box box = cells.stream()
                .map(cell -> map.cells().get(cell).box())
                .reduce(Box::with)
                .orElseThrow(() -> new Refusal("Gather the region that is to be divided."));
        CellPlane plane = map.plane();
        if (!(centre.x() >= 0 && centre.y() >= 0 && centre.x() <= plane.widthPx() && centre.y() <= plane.heightPx())) {
            throw new Refusal("The centre lies beside the sheet. Nothing was changed.");
        }
        return inside(along(box, even, centre, 1), at -> isIn(at, plane, cells));
    }

    /**
     * Points of the lines that divide a box, whatever lies in it.
     *
     * @param centre of spokes and rings, which others are turned around
     * @param stepPx at most so far apart, in pixels; above 0
     */
    public static List<List<Point>> along(Box box, Even even, Point centre, double stepPx) {
        Shape around = Shape.of(
                1,
                Drawn.rectangle(
                        new Point(box.xStart(), box.yStart()), new Point(box.xEndExclusive(), box.yEndExclusive())));
        return even.lines(around, centre).stream()
                .map(line -> followed(Dividing.way(line), stepPx))
                .toList();
    }

    private static List<Point> followed(List<Point> way, double stepPx) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i + 1 < way.size(); i++) {
            Point from = way.get(i);
            Point to = way.get(i + 1);
            int steps = (int) Math.max(1, Math.ceil(Length.of(to.x() - from.x(), to.y() - from.y()) / stepPx));
            for (int step = 0; step <= steps; step++) {
                double share = step / (double) steps;
                points.add(new Point(from.x() + share * (to.x() - from.x()), from.y() + share * (to.y() - from.y())));
            }
        }
        return points;
    }

    /**
     * The stretches of lines that lie in a region.
     *
     * @param lines see {@link #along}
     */
    public static List<List<Point>> inside(List<List<Point>> lines, Predicate<Point> isIn) {
        List<List<Point>> stretches = new ArrayList<>();
        for (List<Point> line : lines) {
            List<Point> stretch = new ArrayList<>();
            for (Point at : line) {
                if (isIn.test(at)) {
                    stretch.add(at);
                } else {
                    keep(stretch, stretches);
                    stretch = new ArrayList<>();
                }
            }
            keep(stretch, stretches);
        }
        return stretches;
    }

    private static boolean isIn(Point at, CellPlane plane, Set<Integer> cells) {
        int x = (int) Math.floor(at.x());
        int y = (int) Math.floor(at.y());
        return x >= 0 && y >= 0 && x < plane.widthPx() && y < plane.heightPx() && cells.contains(plane.numberAt(x, y));
    }

    private static void keep(List<Point> stretch, List<List<Point>> stretches) {
        if (stretch.size() > SHORTEST_PX) {
            stretches.add(stretch);
        }
    }
}
