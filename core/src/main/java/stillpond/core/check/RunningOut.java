package stillpond.core.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.Cell;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;

/** Filled regions that reach the edge of the page through an opening that is likely a gap: the fill has probably run out. */
final class RunningOut {

    /** Openings a little weaker than those that reach dams. */
    private static final double LIKELY_A_GAP = 0.6;
    /** In square stroke widths: a piece smaller than this is a nook of the outside. */
    private static final double LEAST_PIECE = 60;

    private RunningOut() {}

    static List<Finding.RunsOut> find(SheetToCheck sheet) {
        Openings openings = sheet.openings();
        double level = LIKELY_A_GAP * openings.defaultReach();
        Regions tighter = Regions.of(openings, Dams.at(level));
        BitSet outside = atTheEdge(sheet, sheet.regions());
        BitSet stillOutside = atTheEdge(sheet, tighter);
        Map<Integer, List<Integer>> pieces = new TreeMap<>();
        for (int cell = 0; cell < sheet.cellCount(); cell++) {
            boolean isLetOut = outside.get(sheet.regions().of(cell)) && !stillOutside.get(tighter.of(cell));
            if (isLetOut && !sheet.isEmpty(cell)) {
                pieces.computeIfAbsent(tighter.of(cell), any -> new ArrayList<>())
                        .add(cell);
            }
        }
        List<Finding.RunsOut> found = new ArrayList<>();
        pieces.forEach((piece, cells) -> {
            List<Integer> ways = wayOut(sheet, tighter, piece, level);
            if (sheet.area(cells) >= sheet.squareStrokes(LEAST_PIECE) && !ways.isEmpty()) {
                found.add(new Finding.RunsOut(cells, ways));
            }
        });
        return found;
    }

    /** The openings, open now, between a piece and what lies around it, where the same fill lies on both sides. */
    private static List<Integer> wayOut(SheetToCheck sheet, Regions tighter, int piece, double level) {
        List<Opening> openings = sheet.openings().openings();
        List<Integer> ways = new ArrayList<>();
        for (int i = 0; i < openings.size(); i++) {
            Opening opening = openings.get(i);
            boolean leadsOut = tighter.of(opening.first()) == piece ^ tighter.of(opening.second()) == piece;
            boolean isOpen =
                    sheet.regions().of(opening.first()) == sheet.regions().of(opening.second());
            boolean isAlike =
                    sheet.fills().of(opening.first()).equals(sheet.fills().of(opening.second()));
            if (leadsOut && isOpen && isAlike && opening.strength() >= level) {
                ways.add(i);
            }
        }
        return ways;
    }

    private static BitSet atTheEdge(SheetToCheck sheet, Regions regions) {
        BitSet found = new BitSet();
        for (Cell cell : sheet.map().cells()) {
            if (cell.box()
                    .reachesEdgeOf(
                            sheet.map().plane().widthPx(), sheet.map().plane().heightPx())) {
                found.set(regions.of(cell.number()));
            }
        }
        return found;
    }
}
