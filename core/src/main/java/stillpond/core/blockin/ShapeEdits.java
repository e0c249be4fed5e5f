package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Outline;

/** What can be done to the shapes of a layer. Numbers are of shapes; what is not there any more is refused. */
public final class ShapeEdits {

    /** A copy lies so far beside what it was made of, as a share of that. */
    private static final double ASIDE = 0.08;

    private ShapeEdits() {}

    /**
     * A new shape.
     *
     * @param isUnder whether it goes under the shapes that it lies on; else it shares borders with those that it runs along
     * @param reachPx how far a border may be to be shared
     */
    public static ShapeEdit draw(Shapes shapes, Outline outline, boolean isUnder, double reachPx) {
        int number = shapes.free(1).get(0);
        Shapes others = shapes;
        Outline drawn = outline;
        if (!isUnder && reachPx > 0) {
            Abutting.Abutted abutted = Abutting.abut(outline, shapes, reachPx);
            others = abutted.shapes();
            drawn = abutted.outline();
        }
        Shapes after = others.putting(List.of(Shape.of(number, drawn).required()));
        if (isUnder) {
            after = tucked(after, number);
        }
        return ShapeEdit.of(shapes, after, List.of(number));
    }

    /** Several new shapes in front of all, as they are. */
    public static ShapeEdit take(Shapes shapes, List<List<Outline>> taken) {
        List<Integer> numbers = shapes.free(taken.size());
        List<Shape> added = new ArrayList<>();
        for (int i = 0; i < taken.size(); i++) {
            added.add(new Shape(numbers.get(i), taken.get(i), Edge.NONE).required());
        }
        return ShapeEdit.of(shapes, shapes.putting(added), numbers);
    }

    /** Puts a shape behind all that it lies on. */
    public static ShapeEdit tuck(Shapes shapes, int number) {
        return ShapeEdit.of(shapes, tucked(shapes, number), List.of(number));
    }

    private static Shapes tucked(Shapes shapes, int number) {
        Box box = shapes.get(number).box();
        ShapeMask own = ShapeMask.of(shapes.get(number), box);
        Set<Integer> met = new TreeSet<>();
        for (Shape shape : shapes.all()) {
            if (shape.number() != number && own.meets(shape)) {
                met.add(shape.number());
            }
        }
        return met.isEmpty() ? shapes : shapes.tuckedUnder(number, met);
    }

    /** Lets a shape share the borders that it runs along. */
    public static ShapeEdit share(Shapes shapes, int number, double reachPx) {
        Shape shape = shapes.get(number);
        Shapes rest = shapes.without(Set.of(number));
        List<Outline> loops = new ArrayList<>();
        Set<Integer> beside = new TreeSet<>();
        for (Outline loop : shape.loops()) {
            Abutting.Abutted abutted = Abutting.abut(loop, rest, reachPx);
            rest = abutted.shapes();
            loops.add(abutted.outline());
            beside.addAll(abutted.beside());
        }
        if (beside.isEmpty()) {
            throw new Refusal("No other shape runs along this one closely enough to share a border.");
        }
        List<Shape> put = new ArrayList<>(rest.all());
        put.add(shape.with(loops));
        return ShapeEdit.of(shapes, shapes.putting(put), List.of(number));
    }

    /** Moves, turns, scales or mirrors shapes. */
    public static ShapeEdit place(Shapes shapes, Set<Integer> numbers, UnaryOperator<Point> placing) {
        List<Shape> placed = new ArrayList<>();
        numbers.forEach(number -> placed.add(shapes.get(number).placed(placing).required()));
        return ShapeEdit.of(shapes, shapes.putting(placed), List.copyOf(numbers));
    }

    /** The middle of the box around shapes. */
    public static Point middle(Shapes shapes, Set<Integer> numbers) {
        Box box = box(shapes, numbers);
        return new Point((box.xStart() + box.xEndExclusive()) / 2.0, (box.yStart() + box.yEndExclusive()) / 2.0);
    }

    /** The box around shapes. */
    public static Box box(Shapes shapes, Set<Integer> numbers) {
        List<List<Point>> polygons = new ArrayList<>();
        numbers.forEach(number -> polygons.addAll(shapes.get(number).polygons()));
        if (polygons.isEmpty()) {
            throw new Refusal("No shape is in the hand.");
        }
        return Rows.around(polygons, 0);
    }

    /** Copies in front of all, a little aside, which wear what the originals wear. */
    public static ShapeEdit duplicate(Shapes shapes, Set<Integer> numbers) {
        Box box = box(shapes, numbers);
        double aside = Math.max(4, ASIDE * Math.max(box.widthPx(), box.heightPx()));
        List<Integer> free = shapes.free(numbers.size());
        List<Shape> copies = new ArrayList<>();
        Map<Integer, Integer> like = new HashMap<>();
        for (Shape shape : shapes.all()) {
            if (numbers.contains(shape.number())) {
                int number = free.get(copies.size());
                like.put(number, shape.number());
                copies.add(shape.placed(at -> new Point(at.x() + aside, at.y() + aside))
                        .numbered(number));
            }
        }
        return new ShapeEdit(shapes, shapes.putting(copies), free, like);
    }

    /** One shape of all that some cover: the rearmost of them, in its place. */
    public static ShapeEdit join(Shapes shapes, Set<Integer> numbers) {
        List<Shape> joining = chosen(shapes, numbers);
        if (joining.size() < 2) {
            throw new Refusal("Choose two shapes or more to join them.");
        }
        Shape first = joining.get(0);
        Set<Integer> gone = new HashSet<>(numbers);
        gone.remove(first.number());
        Shapes after =
                shapes.putting(List.of(first.with(Overlay.joined(joining)))).without(gone);
        return ShapeEdit.of(shapes, after, List.of(first.number()));
    }

    /** Cuts what the frontmost of some shapes covers out of the others. What is covered wholly goes. */
    public static ShapeEdit subtract(Shapes shapes, Set<Integer> numbers) {
        List<Shape> all = chosen(shapes, numbers);
        if (all.size() < 2) {
            throw new Refusal("Choose two shapes or more: what the frontmost covers is cut out of the others.");
        }
        Shape front = all.get(all.size() - 1);
        List<Shape> put = new ArrayList<>();
        Set<Integer> gone = new HashSet<>();
        for (Shape shape : all.subList(0, all.size() - 1)) {
            List<Outline> left = Overlay.without(shape, List.of(front));
            if (left.isEmpty()) {
                gone.add(shape.number());
            } else {
                put.add(shape.with(left));
            }
        }
        return ShapeEdit.of(shapes, shapes.putting(put).without(gone), List.of(front.number()));
    }

    private static List<Shape> chosen(Shapes shapes, Set<Integer> numbers) {
        numbers.forEach(shapes::get);
        return shapes.all().stream()
                .filter(shape -> numbers.contains(shape.number()))
                .toList();
    }

    public static ShapeEdit order(Shapes shapes, Set<Integer> numbers, int by) {
        return ShapeEdit.of(shapes, shapes.moving(numbers, by), List.copyOf(numbers));
    }

    public static ShapeEdit edge(Shapes shapes, Set<Integer> numbers, Edge edge) {
        List<Shape> edged =
                chosen(shapes, numbers).stream().map(shape -> shape.edged(edge)).toList();
        return ShapeEdit.of(shapes, shapes.putting(edged), List.copyOf(numbers));
    }

    public static ShapeEdit remove(Shapes shapes, Set<Integer> numbers) {
        return ShapeEdit.of(shapes, shapes.without(numbers), List.of());
    }

    /** Divides a shape by a line, from border to border or to other lines. */
    public static ShapeEdit divide(Shapes shapes, int number, List<LooseLine> lines) {
        return divided(shapes, Dividing.divide(shapes, number, lines));
    }

    /** Extends an end that meets nothing. */
    public static ShapeEdit extend(Shapes shapes, Dividing.LooseEnd end) {
        return divided(shapes, Dividing.extend(shapes, end));
    }

    private static ShapeEdit divided(Shapes shapes, Dividing.Divided divided) {
        Map<Integer, Integer> like = new HashMap<>();
        List<Integer> parts = divided.parts();
        parts.subList(1, parts.size()).forEach(part -> like.put(part, parts.get(0)));
        return new ShapeEdit(shapes, divided.shapes(), parts, like);
    }

    /** Takes a line that meets nothing away. @param line by its place among the lines */
    public static ShapeEdit dropLine(Shapes shapes, int line) {
        List<LooseLine> left = new ArrayList<>(shapes.lines());
        left.remove(line);
        return ShapeEdit.of(shapes, shapes.withLines(left), List.of());
    }

    /** The shapes that a line by hand, closed from its end to its start, runs around, at least by half of their borders. */
    public static List<Integer> within(Shapes shapes, List<Point> lasso) {
        return shapes.all().stream()
                .filter(shape -> {
                    List<Point> points =
                            shape.polygons().stream().flatMap(List::stream).toList();
                    long inside = points.stream()
                            .filter(point -> Flat.winding(lasso, point.x(), point.y()) != 0)
                            .count();
                    return 2 * inside > points.size();
                })
                .map(Shape::number)
                .toList();
    }
}
