package stillpond.bench;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.blockin.Drawn;
import stillpond.core.blockin.KnotEdits;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.Shapes;
import stillpond.core.gap.Point;

/** A page full of shapes: boxes side by side that share their borders, and with them the points at their corners. */
record ShapesPage(int widthPx, int heightPx, int columns, int rows) {

    /** 500 shapes on 4 megapixels. */
    static final ShapesPage FULL = new ShapesPage(2400, 1700, 25, 20);

    Shapes shapes() {
        List<Shape> all = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                all.add(Shape.of(all.size() + 1, Drawn.rectangle(corner(column, row), corner(column + 1, row + 1))));
            }
        }
        return new Shapes(all, List.of());
    }

    Point corner(int column, int row) {
        return new Point((double) column * widthPx / columns, (double) row * heightPx / rows);
    }

    /** The number of the shape in the middle. */
    int middle() {
        return rows / 2 * columns + columns / 2 + 1;
    }

    /** Moves a point that four shapes share. */
    Shapes moved(Shapes shapes, int step) {
        Point from = corner(columns / 2, rows / 2);
        Point to = new Point(from.x() + 10 + step % 20, from.y() + 8 + step % 7);
        return KnotEdits.move(shapes, new KnotEdits.At(middle(), 0, 0), to, false)
                .after();
    }
}
