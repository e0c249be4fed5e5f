package stillpond.core.blockin;

import java.util.List;
import stillpond.core.gap.Point;
import stillpond.core.shadow.Outline;

/** What tests of shapes share. */
final class Pages {

    private Pages() {}

    static Shape rectangle(int number, double x0, double y0, double x1, double y1) {
        return Shape.of(number, Drawn.rectangle(new Point(x0, y0), new Point(x1, y1)));
    }

    static Shape disc(int number, double x, double y, double radius) {
        return Shape.of(number, Drawn.ellipse(new Point(x - radius, y - radius), new Point(x + radius, y + radius)));
    }

    static Shapes shapes(Shape... shapes) {
        return new Shapes(List.of(shapes), List.of());
    }

    static int[] areas(Shapes shapes, int width, int height) {
        return ShapeMap.of(shapes, width, height).map().areasPx();
    }

    /** The pixels of a page that a border runs around, even-odd. */
    static boolean[] inside(List<Outline> loops, int width, int height) {
        int[] numbers = ShapeMap.of(shapes(new Shape(1, loops, Edge.NONE)), width, height)
                .plane()
                .numbers();
        boolean[] inside = new boolean[numbers.length];
        for (int i = 0; i < inside.length; i++) {
            inside[i] = numbers[i] == 1;
        }
        return inside;
    }
}
