package stillpond.core.region;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;

/** Rooms on a grid of squares ten pixels wide, numbered row by row; each borders those beside it, and openings lead where they are made. */
public final class Rooms {

    static final int SIDE_PX = 10;
    static final double STROKE_PX = 2;

    private final int columns;
    private final int rows;
    private final List<Cell> cells = new ArrayList<>();
    private final List<Border> borders = new ArrayList<>();
    private final List<Opening> openings = new ArrayList<>();

    public Rooms(int columns, int rows) {
        this.columns = columns;
        this.rows = rows;
        for (int cell = 0; cell < columns * rows; cell++) {
            int x = SIDE_PX * (cell % columns);
            int y = SIDE_PX * (cell / columns);
            Box box = new Box(x, y, x + SIDE_PX, y + SIDE_PX);
            cells.add(new Cell(cell, SIDE_PX * SIDE_PX, box, x + SIDE_PX / 2, y + SIDE_PX / 2, SIDE_PX / 2.0));
            if (cell % columns > 0) {
                borders.add(new Border(cell - 1, cell, SIDE_PX));
            }
            if (cell >= columns) {
                borders.add(new Border(cell - columns, cell, SIDE_PX));
            }
        }
    }

    /** Gives a room another area, and depth; its box stays. */
    public Rooms withArea(int cell, int areaPx) {
        Cell old = cells.get(cell);
        cells.set(cell, new Cell(cell, areaPx, old.box(), old.deepestX(), old.deepestY(), Math.sqrt(areaPx) / 2));
        return this;
    }

    public Rooms open(int first, int second, double widthPx, double strength) {
        Point at = new Point(cells.get(second).deepestX(), cells.get(second).deepestY());
        List<Point> line = List.of(at, new Point(at.x() + widthPx, at.y()));
        openings.add(new Opening(first, second, Opening.Kind.ENDS, line, widthPx, widthPx / STROKE_PX, strength));
        return this;
    }

    public OpeningList openings() {
        return new OpeningList(openings, STROKE_PX);
    }

    public RegionMap at(Dams dams) {
        CellGraph graph = new CellGraph(SIDE_PX * columns, SIDE_PX * rows, cells, borders);
        return RegionMap.of(graph, Regions.of(openings, cells.size(), dams));
    }
}
