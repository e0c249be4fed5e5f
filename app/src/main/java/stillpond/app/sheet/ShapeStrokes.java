package stillpond.app.sheet;

import java.util.Arrays;
import java.util.Optional;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.ShapeMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.stroke.StrokeMap;

/** The outlines of shapes as strokes: that of a shape has its number, so what it wears stays with it. */
final class ShapeStrokes {

    /** Where nothing is drawn, borders have no width; one pixel stands in where lengths are told in strokes. */
    static final double NO_STROKE_PX = 1;

    private static final int MOST_PIXELS = 9_000_000;
    private static final int SOLID = 255;

    private ShapeStrokes() {}

    /** Empty if no shape has an outline. */
    static Optional<CutInk> of(ShapeMap map) {
        if (map.shapes().all().stream().noneMatch(shape -> shape.edge().isDrawn())) {
            return Optional.empty();
        }
        CellPlane cells = map.plane();
        double factor = Math.min(1, Math.sqrt(MOST_PIXELS / ((double) cells.widthPx() * cells.heightPx())));
        int width = (int) Math.max(1, cells.widthPx() * factor);
        int height = (int) Math.max(1, cells.heightPx() * factor);
        int[] numbers = new int[width * height];
        for (int y = 0; y < height; y++) {
            int pageY = (int) ((y + 0.5) * cells.heightPx() / height);
            for (int x = 0; x < width; x++) {
                numbers[y * width + x] = map.strokeAt((int) ((x + 0.5) * cells.widthPx() / width), pageY);
            }
        }
        int[] solids = new int[map.graph().count()];
        Arrays.fill(solids, SOLID);
        StrokeMap strokes =
                new StrokeMap(cells.widthPx(), cells.heightPx(), new CellPlane(width, height, numbers), solids);
        return CutInk.of(strokes, widest(map));
    }

    private static double widest(ShapeMap map) {
        return map.shapes().all().stream()
                .map(Shape::edge)
                .mapToDouble(edge -> edge.widthPx())
                .max()
                .orElse(NO_STROKE_PX);
    }
}
