package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shape.Cubic;

/** Lines that divide a shape evenly. */
public sealed interface Even {

    int MOST = 100;

    /** The lines within a shape. @param centre of spokes and rings; of strips and grids that which they are turned around */
    List<LooseLine> lines(Shape shape, Point centre);

    /**
     * @param kind SPOKES, RINGS, STRIPS or GRID
     * @param parts of spokes, rings or strips; columns of a grid
     * @param rows of a grid
     * @throws Refusal if there is no such kind, or so many parts are never made
     */
    static Even of(String kind, int parts, int rows, double degrees) {
        return switch (kind) {
            case "SPOKES" -> new Spokes(parts, degrees);
            case "RINGS" -> new Rings(parts);
            case "STRIPS" -> new Strips(parts, degrees);
            case "GRID" -> new Grid(parts, rows, degrees);
            default -> throw new Refusal("Divide by spokes, rings, strips or a grid.");
        };
    }

    /** @param count of equal angles, 2 to 100 @param degrees of the first, 0 to the right, clockwise as one sees it */
    record Spokes(int count, double degrees) implements Even {
        public Spokes {
            requireCount(count, 2);
        }

        @Override
        public List<LooseLine> lines(Shape shape, Point centre) {
            double far = reach(shape, centre);
            List<LooseLine> lines = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                double angle = Math.toRadians(degrees + 360.0 * i / count);
                lines.add(line(
                        shape,
                        centre,
                        new Point(centre.x() + far * Math.cos(angle), centre.y() + far * Math.sin(angle))));
            }
            return lines;
        }
    }

    /** @param count of rings of equal width, the one in the middle being a disc, 2 to 100 */
    record Rings(int count) implements Even {
        public Rings {
            requireCount(count, 2);
        }

        @Override
        public List<LooseLine> lines(Shape shape, Point centre) {
            Box box = Rows.around(shape.polygons(), 0);
            double rx = Math.max(box.xEndExclusive() - centre.x(), centre.x() - box.xStart());
            double ry = Math.max(box.yEndExclusive() - centre.y(), centre.y() - box.yStart());
            List<LooseLine> lines = new ArrayList<>();
            for (int i = 1; i < count; i++) {
                double share = i / (double) count;
                Point from = new Point(centre.x() - rx * share, centre.y() - ry * share);
                Point to = new Point(centre.x() + rx * share, centre.y() + ry * share);
                lines.add(LooseLine.of(shape.number(), Drawn.ellipse(from, to).curves()));
            }
            return lines;
        }
    }

    /** @param count of equal widths, 2 to 100 @param degrees of the direction that they follow each other in */
    record Strips(int count, double degrees) implements Even {
        public Strips {
            requireCount(count, 2);
        }

        @Override
        public List<LooseLine> lines(Shape shape, Point centre) {
            return across(shape, count, degrees);
        }
    }

    /** @param columns 1 to 100, as {@code rows}; two parts at the least */
    record Grid(int columns, int rows, double degrees) implements Even {
        public Grid {
            requireCount(columns, 1);
            requireCount(rows, 1);
            requireCount(columns * rows, 2);
        }

        @Override
        public List<LooseLine> lines(Shape shape, Point centre) {
            List<LooseLine> lines = new ArrayList<>(across(shape, columns, degrees));
            lines.addAll(across(shape, rows, degrees + 90));
            return lines;
        }
    }

    private static List<LooseLine> across(Shape shape, int count, double degrees) {
        double dx = Math.cos(Math.toRadians(degrees));
        double dy = Math.sin(Math.toRadians(degrees));
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        double near = Double.POSITIVE_INFINITY;
        double far = Double.NEGATIVE_INFINITY;
        for (List<Point> polygon : shape.polygons()) {
            for (Point point : polygon) {
                double along = point.x() * dx + point.y() * dy;
                double aside = -point.x() * dy + point.y() * dx;
                least = Math.min(least, along);
                most = Math.max(most, along);
                near = Math.min(near, aside);
                far = Math.max(far, aside);
            }
        }
        List<LooseLine> lines = new ArrayList<>();
        for (int i = 1; i < count; i++) {
            double along = least + (most - least) * i / count;
            lines.add(line(
                    shape,
                    new Point(along * dx - (near - 2) * dy, along * dy + (near - 2) * dx),
                    new Point(along * dx - (far + 2) * dy, along * dy + (far + 2) * dx)));
        }
        return lines;
    }

    private static double reach(Shape shape, Point centre) {
        double far = 0;
        for (List<Point> polygon : shape.polygons()) {
            for (Point point : polygon) {
                far = Math.max(far, Math.abs(point.x() - centre.x()) + Math.abs(point.y() - centre.y()));
            }
        }
        return far + 2;
    }

    private static LooseLine line(Shape shape, Point from, Point to) {
        return LooseLine.of(shape.number(), List.of(Cubic.straight(from.x(), from.y(), to.x(), to.y())));
    }

    private static void requireCount(int count, int least) {
        if (count < least || count > MOST * MOST) {
            throw new Refusal("A shape is divided into " + least + " to 100 parts each way, not " + count + ".");
        }
        if (least != 2 && count > MOST || least == 2 && count > Dividing.MOST_PARTS) {
            throw new Refusal("A shape is divided into up to " + Dividing.MOST_PARTS + " parts at once, not " + count
                    + ". Divide it, then its parts.");
        }
    }
}
