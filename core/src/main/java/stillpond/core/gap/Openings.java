package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.CellMap;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/**
 * The cells of a layer and the openings between them: what line art is analysed into.
 *
 * @param cells bounded by ink and by every closure worth thinking of
 * @param openings where two cells meet without ink, in order of first, then second cell
 * @param strokePx how wide the strokes are, in pixels of the page
 * @param defaultReach the level from which on openings are dammed unless somebody says otherwise, found from the openings themselves
 * @param isLimited whether there were more possible closures than are looked at, so that only the most promising were
 */
public record Openings(CellMap cells, List<Opening> openings, double strokePx, double defaultReach, boolean isLimited) {

    /** The version of the analysis; raised when the same ink would give other cells, openings or strokes. */
    public static final int VERSION = 5;

    /** Nobody would ever want a dam there: the pieces are one cell. */
    private static final double NEVER = 0.005;

    /** Between what is one region and what is not; see {@link MergeTree#strengths}. */
    private static final double DEFAULT_REACH = 0.5;

    public Openings {
        openings = List.copyOf(openings);
    }

    /**
     * Cuts a layer into cells and finds the openings between them.
     *
     * @throws Refusal if there is no paper at all
     */
    public static Openings of(InkPlane ink) {
        return of(ink, GapModel.shipped());
    }

    /** @param thinned the same ink */
    public static Openings of(InkPlane ink, ThinnedInk thinned) {
        return of(Pieces.cut(ink, thinned), GapModel.shipped());
    }

    public static Openings of(InkPlane ink, GapModel model) {
        return of(Pieces.cut(ink), model);
    }

    private static Openings of(Pieces pieces, GapModel model) {
        double[] strengths = model.strengths(pieces.graph());
        int[] cellOfPiece = cells(pieces, strengths);
        List<Opening> openings = openings(pieces, strengths, cellOfPiece);
        double stroke = pieces.search().strokePx() / pieces.search().scale();
        return new Openings(
                pieces.cutting().joined(cellOfPiece),
                openings,
                stroke,
                DEFAULT_REACH,
                pieces.closures().size() == ClosureNet.MAX_CLOSURES);
    }

    private static int[] cells(Pieces pieces, double[] strengths) {
        DisjointSets sets = new DisjointSets(pieces.graph().count());
        for (int i = 0; i < strengths.length; i++) {
            if (strengths[i] < NEVER) {
                sets.join(
                        pieces.graph().parts().get(i).first(),
                        pieces.graph().parts().get(i).second());
            }
        }
        return sets.numbered();
    }

    private static List<Opening> openings(Pieces pieces, double[] strengths, int[] cellOfPiece) {
        Map<Part, Double> strengthOf = new TreeMap<>(Part.ORDER);
        for (int i = 0; i < strengths.length; i++) {
            Part part = pieces.graph().parts().get(i);
            int a = cellOfPiece[part.first()];
            int b = cellOfPiece[part.second()];
            if (a != b) {
                strengthOf.merge(
                        new Part(Math.min(a, b), Math.max(a, b), part.closure(), 0, part.meeting()),
                        strengths[i],
                        Math::max);
            }
        }
        List<Opening> openings = new ArrayList<>();
        strengthOf.forEach((part, strength) -> openings.add(opening(pieces, part, cellOfPiece, strength)));
        return openings;
    }

    private static Opening opening(Pieces pieces, Part part, int[] cellOfPiece, double strength) {
        List<Point> line = pieces.stretch(part.closure(), part.first(), part.second(), cellOfPiece);
        double width = 1;
        for (int i = 1; i < line.size(); i++) {
            width += line.get(i).distanceTo(line.get(i - 1));
        }
        Opening.Kind kind = pieces.closures().get(part.closure()).kind();
        return new Opening(
                part.first(), part.second(), kind, line, width, pieces.graph().strokes(width), strength);
    }
}
