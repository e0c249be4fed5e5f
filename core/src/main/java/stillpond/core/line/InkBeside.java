package stillpond.core.line;

import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import stillpond.core.stroke.Stroke;

/** The ink that belongs to some cells. */
public final class InkBeside {

    private InkBeside() {}

    /** The strokes inside or around some cells: those that have one of them on a side. */
    public static List<Integer> touching(List<Stroke> strokes, Set<Integer> cells) {
        return those(strokes, stroke -> stroke.sides().stream().anyMatch(side -> cells.contains(side.cell())));
    }

    /** The strokes that have nothing but these cells on their sides. */
    public static List<Integer> inside(List<Stroke> strokes, Set<Integer> cells) {
        return those(strokes, stroke -> stroke.sides().stream().allMatch(side -> cells.contains(side.cell())));
    }

    private static List<Integer> those(List<Stroke> strokes, Predicate<Stroke> meant) {
        return strokes.stream().filter(meant).map(Stroke::number).toList();
    }
}
