package stillpond.browser;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.teavm.jso.JSExport;
import stillpond.core.blockin.Dividing;
import stillpond.core.blockin.Edge;
import stillpond.core.blockin.Even;
import stillpond.core.blockin.KnotEdits;
import stillpond.core.blockin.LooseLine;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.ShapeEdit;
import stillpond.core.blockin.ShapeEdits;
import stillpond.core.blockin.ShapeMap;
import stillpond.core.blockin.ShapeText;
import stillpond.core.blockin.Shapes;
import stillpond.core.cell.Box;
import stillpond.core.cell.PlanePatch;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.Outline;

/**
 * The shapes of the layer that is open. What is asked for is only thought of, until it is {@link #take taken}: {@link #show} shows it on the plane, {@link #drop} puts the plane back. Places are in pixels of the sheet.
 */
public final class BlockedIn {

    private final ShapeMap map;
    private Shapes present;
    private ShapeEdit thought;

    private BlockedIn(Shapes shapes, int widthPx, int heightPx) {
        this.map = ShapeMap.of(shapes, widthPx, heightPx);
        this.present = shapes;
        this.thought = nothing();
    }

    /** @param text as the server sends it */
    @JSExport
    public static BlockedIn read(String text, int width, int height) {
        return new BlockedIn(ShapeText.shapes(text), width, height);
    }

    private ShapeEdit nothing() {
        return new ShapeEdit(present, present, List.of(), Map.of());
    }

    private ShapeChange thinking(ShapeEdit edit) {
        thought = edit;
        return ShapeChange.of(edit);
    }

    /** Shows what is thought of; returns what has changed of the plane. */
    @JSExport
    public PlaneBox[] show() {
        return boxes(map.show(thought.after()));
    }

    /** Forgets what is thought of; returns what has changed of the plane. */
    @JSExport
    public PlaneBox[] drop() {
        thought = nothing();
        return boxes(map.show(present));
    }

    /** Takes what is thought of. The parts of what was divided are not told: they are in the change. */
    @JSExport
    public LayerPatch take() {
        map.show(present);
        present = thought.after();
        List<Box> changed = map.become(present).boxes();
        thought = nothing();
        return new LayerPatch(Layer.of(map.graph()), boxes(changed), new CellParts[0], new int[0]);
    }

    private PlaneBox[] boxes(List<Box> boxes) {
        return boxes.stream()
                .map(box -> PlaneBox.of(PlanePatch.of(map.plane(), box)))
                .toArray(PlaneBox[]::new);
    }

    /** Densities of the ink in a box: x, y, width, height. Row by row. */
    @JSExport
    public byte[] inkIn(int[] box) {
        byte[] density = new byte[box[2] * box[3]];
        for (int y = 0; y < box[3]; y++) {
            int from = (box[1] + y) * map.ink().widthPx() + box[0];
            System.arraycopy(map.ink().density(), from, density, y * box[2], box[2]);
        }
        return density;
    }

    /** Whether a shape has an outline, or had one. */
    @JSExport
    public boolean hasInk() {
        return map.hasInk();
    }

    /** From back to front. */
    @JSExport
    public int[] order() {
        return Numbers.of(present.all().stream().map(Shape::number).toList());
    }

    /** How many borders a shape has, with what is thought of; none if there is no such shape. */
    @JSExport
    public int loops(int number) {
        return thought.after().find(number).map(shape -> shape.loops().size()).orElse(0);
    }

    /** A border of a shape as a closed polygon, with what is thought of. */
    @JSExport
    public double[] border(int number, int loop) {
        return Numbers.way(thought.after().get(number).loops().get(loop).polygon());
    }

    /** The points of a border, with what is thought of. */
    @JSExport
    public double[] knots(int number, int loop) {
        return Numbers.way(thought.after().get(number).loops().get(loop).knots().stream()
                .map(knot -> new Point(knot.x(), knot.y()))
                .toList());
    }

    /** Width of the outline of a shape; below 0 if it is tapered, 0 if there is none. */
    @JSExport
    public double edgeOf(int number) {
        Edge edge = present.get(number).edge();
        return edge.isTapered() ? -edge.widthPx() : edge.widthPx();
    }

    /** The middle of the box around shapes, and its size: x, y, width, height. */
    @JSExport
    public double[] around(int[] shapes) {
        Point middle = ShapeEdits.middle(thought.after(), set(shapes));
        Box box = ShapeEdits.box(thought.after(), set(shapes));
        return new double[] {middle.x(), middle.y(), box.widthPx(), box.heightPx()};
    }

    @JSExport
    public int lineCount() {
        return thought.after().lines().size();
    }

    /** A line that does not meet. */
    @JSExport
    public double[] line(int index) {
        return Numbers.way(Dividing.way(thought.after().lines().get(index)));
    }

    /** The ends of lines that meet nothing: of each the line, 1 if it is its start or else 0, x and y. */
    @JSExport
    public double[] looseEnds() {
        List<Dividing.LooseEnd> ends = Dividing.looseEnds(present);
        double[] told = new double[4 * ends.size()];
        for (int i = 0; i < ends.size(); i++) {
            told[4 * i] = ends.get(i).line();
            told[4 * i + 1] = ends.get(i).isStart() ? 1 : 0;
            told[4 * i + 2] = ends.get(i).at().x();
            told[4 * i + 3] = ends.get(i).at().y();
        }
        return told;
    }

    /** The shapes that a line by hand runs around. */
    @JSExport
    public int[] within(double[] way) {
        return Numbers.of(ShapeEdits.within(present, Layer.points(way)));
    }

    /** The points or borders that a place is near to: x and y, or nothing. @param without shapes that do not count */
    @JSExport
    public double[] snapped(double x, double y, int[] without, double reachPx) {
        return KnotEdits.snapped(present, new Point(x, y), Numbers.listOf(without), reachPx)
                .map(at -> new double[] {at.x(), at.y()})
                .orElse(new double[0]);
    }

    /** @param shape as text, of {@link stillpond.browser.Shapes} @param under whether it goes under what it lies on */
    @JSExport
    public ShapeChange draw(String shape, boolean under, double reachPx) {
        return thinking(ShapeEdits.draw(present, outline(shape), under, reachPx));
    }

    /** Takes shapes that were suggested. */
    @JSExport
    public ShapeChange takeAll(String[] suggested) {
        List<List<Outline>> taken = new ArrayList<>();
        for (String each : suggested) {
            taken.add(ShapeText.shape(each).loops());
        }
        return thinking(ShapeEdits.take(present, taken));
    }

    @JSExport
    public ShapeChange tuck(int number) {
        return thinking(ShapeEdits.tuck(present, number));
    }

    @JSExport
    public ShapeChange shareBorders(int number, double reachPx) {
        return thinking(ShapeEdits.share(present, number, reachPx));
    }

    @JSExport
    public ShapeChange move(int[] shapes, double x, double y) {
        return thinking(ShapeEdits.place(present, set(shapes), at -> new Point(at.x() + x, at.y() + y)));
    }

    /** Scales, mirrors and turns shapes around their middle, in this order. @param wider by which factor, below 0 to mirror them; so is {@code higher} */
    @JSExport
    public ShapeChange turn(int[] shapes, double degrees, double wider, double higher) {
        Set<Integer> numbers = set(shapes);
        Point middle = ShapeEdits.middle(present, numbers);
        double cos = Math.cos(Math.toRadians(degrees));
        double sin = Math.sin(Math.toRadians(degrees));
        return thinking(ShapeEdits.place(present, numbers, at -> {
            double dx = (at.x() - middle.x()) * wider;
            double dy = (at.y() - middle.y()) * higher;
            return new Point(middle.x() + dx * cos - dy * sin, middle.y() + dx * sin + dy * cos);
        }));
    }

    @JSExport
    public ShapeChange duplicate(int[] shapes) {
        return thinking(ShapeEdits.duplicate(present, set(shapes)));
    }

    @JSExport
    public ShapeChange join(int[] shapes) {
        return thinking(ShapeEdits.join(present, set(shapes)));
    }

    @JSExport
    public ShapeChange subtract(int[] shapes) {
        return thinking(ShapeEdits.subtract(present, set(shapes)));
    }

    /** @param steps forward; below 0 towards the back */
    @JSExport
    public ShapeChange reorder(int[] shapes, int steps) {
        return thinking(ShapeEdits.order(present, set(shapes), steps));
    }

    /** @param width 0 for none */
    @JSExport
    public ShapeChange outlined(int[] shapes, double width, boolean tapered) {
        return thinking(ShapeEdits.edge(present, set(shapes), new Edge(width, tapered)));
    }

    @JSExport
    public ShapeChange remove(int[] shapes) {
        return thinking(ShapeEdits.remove(present, set(shapes)));
    }

    /** @param alone whether other shapes keep the point where it was */
    @JSExport
    public ShapeChange moveKnot(int number, int loop, int knot, double x, double y, boolean alone) {
        return thinking(KnotEdits.move(present, new KnotEdits.At(number, loop, knot), new Point(x, y), alone));
    }

    @JSExport
    public ShapeChange dropKnot(int number, int loop, int knot) {
        return thinking(KnotEdits.drop(present, new KnotEdits.At(number, loop, knot)));
    }

    @JSExport
    public ShapeChange bendKnot(int number, int loop, int knot) {
        return thinking(KnotEdits.bend(present, new KnotEdits.At(number, loop, knot)));
    }

    @JSExport
    public ShapeChange addKnot(int number, double x, double y) {
        return thinking(KnotEdits.add(present, number, new Point(x, y)));
    }

    /** Divides a shape by a line drawn by hand. @param tolerance how far the line may be from what was drawn */
    @JSExport
    public ShapeChange divide(int number, double[] way, double reachPx, double tolerance) {
        LooseLine line = Dividing.drawn(Layer.points(way), present, number, reachPx, tolerance);
        return thinking(ShapeEdits.divide(present, number, List.of(line)));
    }

    /**
     * Divides a shape evenly.
     *
     * @param evenly SPOKES, RINGS, STRIPS or GRID
     * @param parts of spokes, rings or strips; columns of a grid
     * @param rows of a grid
     * @param x of the centre, as {@code y}
     */
    @JSExport
    public ShapeChange divideEvenly(
            int number, String evenly, int parts, int rows, double degrees, double x, double y) {
        Even even = Even.of(evenly, parts, rows, degrees);
        List<LooseLine> lines = even.lines(present.get(number), new Point(x, y));
        return thinking(ShapeEdits.divide(present, number, lines));
    }

    /** @param index of the line @param atStart which of its ends */
    @JSExport
    public ShapeChange extend(int index, boolean atStart) {
        return thinking(ShapeEdits.extend(
                present,
                Dividing.looseEnds(present).stream()
                        .filter(end -> end.line() == index && end.isStart() == atStart)
                        .findFirst()
                        .orElseThrow(() -> new Refusal("This end meets a border already."))));
    }

    @JSExport
    public ShapeChange dropLine(int index) {
        return thinking(ShapeEdits.dropLine(present, index));
    }

    /** The centres of mass of shapes: x and y of each. */
    @JSExport
    public double[] centres(int[] shapes) {
        return Numbers.way(Numbers.listOf(shapes).stream()
                .map(number -> present.get(number).centroid())
                .toList());
    }

    private static Set<Integer> set(int[] numbers) {
        return new HashSet<>(Numbers.setOf(numbers));
    }

    private static Outline outline(String shape) {
        if (Form.ofText(shape) instanceof Form.Drawn drawn) {
            return drawn.outline();
        }
        throw new Refusal("This is no shape.");
    }
}
