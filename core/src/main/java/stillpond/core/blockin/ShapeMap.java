package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.cell.PlanePatch;
import stillpond.core.cell.Repainted;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

/**
 * The cells and the ink that shapes make: at each pixel the cell of the frontmost shape that its middle lies in, or the ground, which is cell 0. When shapes change, only the boxes around those are made anew.
 *
 * <p>Owns its planes and changes them; for one thread at a time.
 */
public final class ShapeMap {

    /** From this density on a pixel of an outline is ink. */
    private static final int INK_THRESHOLD = 128;

    private static final char[] NO_STROKES = {};

    private final CellPlane plane;
    private final InkPlane ink;
    private char[] strokes;
    private Shapes shapes = Shapes.NONE;
    private CellGraph graph;
    /** Of each shape as it is now, by number. */
    private Map<Integer, Painted> painted = new HashMap<>();

    /** A shape with what painting it needs. */
    private record Painted(Shape shape, List<List<Point>> polygons, Box box) {
        static Painted of(Shape shape) {
            return new Painted(shape, shape.polygons(), shape.box());
        }
    }

    /** A page without shapes: all ground. */
    public ShapeMap(int widthPx, int heightPx) {
        this.plane = new CellPlane(widthPx, heightPx, new int[widthPx * heightPx]);
        this.ink = new InkPlane(widthPx, heightPx, new byte[widthPx * heightPx], INK_THRESHOLD);
        this.strokes = NO_STROKES;
        this.graph = Repainted.ground(widthPx, heightPx);
    }

    /** A page with shapes on it. */
    public static ShapeMap of(Shapes shapes, int widthPx, int heightPx) {
        ShapeMap map = new ShapeMap(widthPx, heightPx);
        map.become(shapes);
        return map;
    }

    private Box page() {
        return new Box(0, 0, plane.widthPx(), plane.heightPx());
    }

    /**
     * What came of other shapes.
     *
     * @param boxes in which pixels may be of another cell, or ink may be other; they neither meet nor touch
     * @param changed numbers of cells of which something else is known now
     */
    public record Change(List<Box> boxes, List<Integer> changed) {}

    /** Takes other shapes, and tells all about the cells anew. */
    public Change become(Shapes others) {
        List<Box> boxes = changedBoxes(others);
        List<PlanePatch> former = new ArrayList<>();
        boxes.forEach(box -> former.add(PlanePatch.of(plane, box)));
        show(others);
        Repainted repainted = Repainted.of(graph, plane, former, Math.max(graph.count(), others.cells()));
        graph = repainted.graph();
        return new Change(boxes, repainted.changed());
    }

    /** Shows other shapes in the planes alone, as while a point is dragged; {@link #settle} is to follow. Returns the boxes that have changed. */
    public List<Box> show(Shapes others) {
        List<Box> boxes = changedBoxes(others);
        Map<Integer, Painted> now = new HashMap<>();
        others.all().forEach(shape -> now.put(shape.number(), painted(shape)));
        painted = now;
        shapes = others;
        boxes.forEach(this::paint);
        return boxes;
    }

    /** What is known of the cells after a while of {@link #show}. @param former the numbers of boxes before that began */
    public Change settle(List<PlanePatch> former) {
        Repainted repainted = Repainted.of(graph, plane, former, Math.max(graph.count(), shapes.cells()));
        graph = repainted.graph();
        return new Change(former.stream().map(PlanePatch::box).toList(), repainted.changed());
    }

    public Shapes shapes() {
        return shapes;
    }

    public CellGraph graph() {
        return graph;
    }

    public CellPlane plane() {
        return plane;
    }

    public CellMap map() {
        return new CellMap(plane, graph.cells(), graph.borders());
    }

    /** Of outlines alone. */
    public InkPlane ink() {
        return ink;
    }

    /** Whether a shape has an outline, or had one. */
    public boolean hasInk() {
        return strokes.length > 0;
    }

    /** The number of the shape whose outline the ink of a pixel is, 0 where there is none. */
    public int strokeAt(int x, int y) {
        return hasInk() ? strokes[y * plane.widthPx() + x] : 0;
    }

    /** Boxes of the page around all shapes that are another, or in another order, than now. */
    private List<Box> changedBoxes(Shapes others) {
        Map<Integer, Integer> place = new HashMap<>();
        for (int i = 0; i < shapes.all().size(); i++) {
            place.put(shapes.all().get(i).number(), i);
        }
        List<Box> boxes = new ArrayList<>();
        boolean[] stays = new boolean[shapes.all().size()];
        int last = -1;
        for (Shape shape : others.all()) {
            int was = place.getOrDefault(shape.number(), -1);
            boolean isSame = was > last && shape.equals(shapes.all().get(was));
            if (isSame) {
                stays[was] = true;
                last = was;
            } else {
                add(boxes, painted(shape).box());
            }
        }
        for (int i = 0; i < stays.length; i++) {
            if (!stays[i]) {
                add(boxes, painted(shapes.all().get(i)).box());
            }
        }
        return boxes;
    }

    /** Boxes that meet or touch become one. */
    private void add(List<Box> boxes, Box added) {
        Box box = added.common(page());
        if (!box.hasPixels()) {
            return;
        }
        for (int i = 0; i < boxes.size(); i++) {
            Box other = boxes.get(i);
            boolean isNear = box.xStart() <= other.xEndExclusive()
                    && other.xStart() <= box.xEndExclusive()
                    && box.yStart() <= other.yEndExclusive()
                    && other.yStart() <= box.yEndExclusive();
            if (isNear) {
                boxes.remove(i);
                add(boxes, box.with(other));
                return;
            }
        }
        boxes.add(box);
    }

    private Painted painted(Shape shape) {
        Painted known = painted.get(shape.number());
        return known != null && known.shape().equals(shape) ? known : Painted.of(shape);
    }

    private void paint(Box box) {
        int width = box.widthPx();
        int[] numbers = new int[width * box.heightPx()];
        if (!hasInk() && shapes.all().stream().anyMatch(shape -> shape.edge().isDrawn())) {
            strokes = new char[plane.numbers().length];
        }
        byte[] density = new byte[hasInk() ? numbers.length : 0];
        char[] stroke = new char[density.length];
        for (Shape shape : shapes.all()) {
            Painted each = painted(shape);
            if (!each.box().common(box).hasPixels()) {
                continue;
            }
            Rows.paint(each.polygons(), shape.number(), box, numbers);
            if (hasInk()) {
                EdgeInk.lay(shape, each.polygons(), box, numbers, density, stroke);
            }
        }
        for (int y = 0; y < box.heightPx(); y++) {
            int to = (box.yStart() + y) * plane.widthPx() + box.xStart();
            System.arraycopy(numbers, y * width, plane.numbers(), to, width);
            if (hasInk()) {
                System.arraycopy(density, y * width, ink.density(), to, width);
                System.arraycopy(stroke, y * width, strokes, to, width);
            }
        }
    }
}
