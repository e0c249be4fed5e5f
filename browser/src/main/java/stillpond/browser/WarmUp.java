package stillpond.browser;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.teavm.jso.JSExport;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Gaps;
import stillpond.core.gap.Opening;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;
import stillpond.core.region.RegionMap;
import stillpond.core.region.Spill;

/**
 * Runs the rules on a row of small cells while the planes of the real sheet are on their way, so that the first fill and the first drag of the reach do not wait for
 * the browser to compile them.
 */
public final class WarmUp {

    /** So many that the browser compiles what is run again and again. */
    private static final int ROUNDS = 200;

    private static final int COUNT = 64;

    private WarmUp() {}

    /** Returns how many regions came of it, so that nothing is taken for needless. */
    @JSExport
    public static int run() {
        List<Cell> cells = new ArrayList<>();
        List<Border> borders = new ArrayList<>();
        List<Opening> openings = new ArrayList<>();
        for (int cell = 0; cell < COUNT; cell++) {
            cells.add(new Cell(cell, 1, new Box(cell, 0, cell + 1, 1), cell, 0, 1));
            if (cell > 0) {
                borders.add(new Border(cell - 1, cell, 1));
                List<Point> line = List.of(new Point(cell - 1, 0), new Point(cell, 0));
                openings.add(new Opening(cell - 1, cell, Opening.Kind.ENDS, line, 2, 2, (double) cell / COUNT));
            }
        }
        CellGraph graph = new CellGraph(COUNT, 1, cells, borders);
        OpeningList all = new OpeningList(openings, 1);
        List<Integer> worn = new ArrayList<>(Collections.nCopies(COUNT, 0));
        int regions = 0;
        for (int round = 0; round < ROUNDS; round++) {
            Dams dams = new Dams((double) (round % COUNT) / COUNT, Set.of(), Set.of(), Set.of());
            RegionMap map = RegionMap.of(graph, Regions.of(openings, COUNT, dams));
            Spill.from(round % COUNT, map, all, dams);
            Fills.none().laying(Fill.NONE, worn);
            regions += map.all().size();
        }
        return regions + Gaps.of(all, new int[COUNT], Dams.at(1)).size();
    }
}
