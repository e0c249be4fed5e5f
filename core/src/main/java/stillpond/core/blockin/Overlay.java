package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;

/**
 * Shapes put together out of others (regularised Boolean operations, A. Requicha 1980): the borders are cut where they meet, and those pieces are kept that have what is asked for on one side alone. What the results share with their neighbours stays shared, to the tenth of a pixel.
 */
public final class Overlay {

    private final Arrangement arrangement;
    private final List<List<List<Point>>> polygons = new ArrayList<>();

    private Overlay(List<Shape> shapes) {
        List<List<Cubic>> sources = new ArrayList<>();
        shapes.forEach(shape -> shape.loops().forEach(loop -> sources.add(loop.curves())));
        arrangement = Arrangement.of(sources);
        int source = 0;
        for (Shape shape : shapes) {
            List<List<Point>> ofShape = new ArrayList<>();
            for (int loop = 0; loop < shape.loops().size(); loop++) {
                List<Arrangement.Run> runs = arrangement.runs(source++);
                if (!runs.isEmpty()) {
                    ofShape.add(arrangement.polygon(runs));
                }
            }
            polygons.add(ofShape);
        }
    }

    /**
     * All that some shapes cover.
     *
     * @param shapes two at the least
     * @throws Refusal if one of them crosses itself
     */
    public static List<Outline> joined(List<Shape> shapes) {
        return new Overlay(untangled(shapes)).outlines(inside -> inside.contains(true));
    }

    /** What one shape covers and others do not; nothing if they cover all of it. @throws Refusal if one of them crosses itself */
    public static List<Outline> without(Shape shape, List<Shape> others) {
        List<Shape> all = new ArrayList<>(List.of(shape));
        all.addAll(others);
        return new Overlay(untangled(all))
                .outlines(inside ->
                        inside.get(0) && !inside.subList(1, inside.size()).contains(true));
    }

    private static List<Shape> untangled(List<Shape> shapes) {
        if (shapes.stream().anyMatch(Shape::crossesItself)) {
            throw new Refusal(
                    "The border of one of these shapes crosses itself. Move its points apart first; nothing was changed.");
        }
        return shapes;
    }

    private List<Outline> outlines(Predicate<List<Boolean>> wanted) {
        List<Arrangement.Run> kept = new ArrayList<>();
        for (int piece = 0; piece < arrangement.count(); piece++) {
            Arrangement.Run run = new Arrangement.Run(piece, true);
            boolean isRight = wanted.test(inside(arrangement.besideRight(run)));
            boolean isLeft = wanted.test(inside(arrangement.besideRight(run.back())));
            if (isRight != isLeft) {
                kept.add(isRight ? run : run.back());
            }
        }
        List<Outline> outlines = new ArrayList<>();
        for (List<Arrangement.Run> loop : arrangement.loops(kept)) {
            outlines.add(outline(arrangement, loop));
        }
        return outlines;
    }

    static Outline outline(Arrangement arrangement, List<Arrangement.Run> loop) {
        List<Cubic> curves = new ArrayList<>();
        loop.forEach(run -> curves.add(arrangement.curve(run)));
        if (curves.size() == 1) {
            // A curve that ends where it begins.
            Cubic.Halves halves = curves.get(0).at(0.5);
            return Outline.of(List.of(halves.first(), halves.second()));
        }
        return Outline.of(curves);
    }

    /** By shape: whether a place lies in it. */
    private List<Boolean> inside(Point at) {
        return polygons.stream()
                .map(loops -> loops.stream()
                                        .filter(polygon -> Flat.winding(polygon, at.x(), at.y()) != 0)
                                        .count()
                                % 2
                        == 1)
                .toList();
    }
}
