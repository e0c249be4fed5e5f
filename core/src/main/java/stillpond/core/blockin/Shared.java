package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;

/** Borders that shapes share: the same curves in both, so that whoever changes one changes the other. */
final class Shared {

    private Shared() {}

    /** Notes which curves of a loop were cut, and into what. */
    static void cuts(
            List<Cubic> curves, Arrangement arrangement, List<Arrangement.Run> runs, Map<Cubic, List<Cubic>> into) {
        int next = 0;
        for (Cubic curve : curves) {
            List<Cubic> pieces = new ArrayList<>();
            while (next < runs.size() && !endsAt(curve, pieces)) {
                pieces.add(arrangement.curve(runs.get(next++)));
            }
            if (pieces.size() > 1) {
                into.put(curve, pieces);
            }
        }
    }

    private static boolean endsAt(Cubic curve, List<Cubic> pieces) {
        if (pieces.isEmpty()) {
            return false;
        }
        Cubic last = pieces.get(pieces.size() - 1);
        return Math.abs(last.x3() - curve.x3()) <= Vertices.SAME_PX
                && Math.abs(last.y3() - curve.y3()) <= Vertices.SAME_PX;
    }

    /** Gives the other shapes that share curves which were cut the same pieces. @param apart numbers of those that have them already */
    static Shapes resplit(Shapes shapes, Collection<Integer> apart, Map<Cubic, List<Cubic>> cuts) {
        Map<Ends, List<Cubic>> byEnds = new HashMap<>();
        cuts.forEach((curve, pieces) -> {
            byEnds.put(Ends.of(curve), pieces);
            byEnds.put(Ends.of(curve.reversed()), backwards(pieces));
        });
        List<Shape> put = new ArrayList<>();
        for (Shape shape : shapes.all()) {
            List<Outline> loops =
                    shape.loops().stream().map(loop -> resplit(loop, byEnds)).toList();
            if (!apart.contains(shape.number()) && !loops.equals(shape.loops())) {
                put.add(shape.with(loops));
            }
        }
        return shapes.putting(put);
    }

    private static Outline resplit(Outline loop, Map<Ends, List<Cubic>> byEnds) {
        List<Cubic> curves = new ArrayList<>();
        boolean isCut = false;
        for (Cubic curve : loop.curves()) {
            List<Cubic> pieces = byEnds.get(Ends.of(curve));
            isCut |= pieces != null;
            curves.addAll(pieces == null ? List.of(curve) : pieces);
        }
        return isCut ? Outline.of(curves) : loop;
    }

    static List<Cubic> backwards(List<Cubic> curves) {
        List<Cubic> backwards = new ArrayList<>();
        for (int i = curves.size() - 1; i >= 0; i--) {
            backwards.add(curves.get(i).reversed());
        }
        return backwards;
    }

    /** A curve by its ends and its middle, to a tenth: what rounding of handles does to it does not matter. */
    private record Ends(long x0, long y0, long x1, long y1, long midX, long midY) {
        static Ends of(Cubic curve) {
            return new Ends(
                    tenths(curve.x0()),
                    tenths(curve.y0()),
                    tenths(curve.x3()),
                    tenths(curve.y3()),
                    Math.round(curve.x(0.5)),
                    Math.round(curve.y(0.5)));
        }

        private static long tenths(double value) {
            return Math.round(value * 10);
        }
    }
}
