package stillpond.core.shape;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellPlane;

class SmoothMapTest {

    private static final double TOLERANCE_PX = 0.6;

    @Test
    void anEdgeIsTracedOnceAndHasBothItsFaces() {
        CellPlane halves = plane(20, 10, (x, y) -> x < 8 ? 0 : 1);
        List<PlanarMap.Edge> inner = PlanarMap.edges(halves, cell -> cell).stream()
                .filter(edge -> edge.left() >= 0 && edge.right() >= 0)
                .toList();
        assertThat(inner).hasSize(1);
        assertThat(List.of(inner.get(0).left(), inner.get(0).right())).containsExactlyInAnyOrder(0, 1);
        assertThat(inner.get(0).line()).hasSize(2 * 11);
    }

    /** V - E + F = 1 + C for a planar map without the outer face counted twice (Euler, 1758), here with one component. */
    @Test
    void facesEdgesAndCornersAreAsEulerCountsThem() {
        CellPlane quarters = plane(12, 12, (x, y) -> x / 6 + 2 * (y / 6));
        List<PlanarMap.Edge> edges = PlanarMap.edges(quarters, cell -> cell);
        long corners = edges.stream()
                .flatMap(edge -> List.of(edge.startX() + "," + edge.startY(), edge.endX() + "," + edge.endY()).stream())
                .distinct()
                .count();
        assertThat(corners - edges.size() + 4 + 1).isEqualTo(2);
    }

    @Test
    void facesCoverThePageWithoutGapOrOverlap() {
        CellPlane pebbles = pebbles();
        SmoothMap map = SmoothMap.of(pebbles, cell -> cell, TOLERANCE_PX);
        double all = 0;
        for (int face = 0; face < 4; face++) {
            all += area(map.around(face));
        }
        assertThat(all).isCloseTo(200.0 * 160, org.assertj.core.data.Offset.offset(1e-6));
    }

    @Test
    void noPixelIsOffByMoreThanOneAlongBorders() {
        CellPlane pebbles = pebbles();
        SmoothMap map = SmoothMap.of(pebbles, cell -> cell, TOLERANCE_PX);
        for (int face = 0; face < 4; face++) {
            Path2D path = path(map.around(face));
            for (int y = 0; y < 160; y++) {
                for (int x = 0; x < 200; x++) {
                    boolean isIn = pebbles.numberAt(x, y) == face;
                    if (path.contains(x + 0.5, y + 0.5) != isIn) {
                        assertThat(isBesideAnother(pebbles, x, y))
                                .as("%d, %d", x, y)
                                .isTrue();
                    }
                }
            }
        }
    }

    @Test
    void slantingLinesLoseTheirSteps() {
        CellPlane slant = plane(400, 400, (x, y) -> 3 * y < x + 400 ? 0 : 1);
        SmoothMap map = SmoothMap.of(slant, cell -> cell, TOLERANCE_PX);
        // Seven sides of the page in two faces' pieces, and the slant in a few.
        assertThat(map.nodes()).isLessThan(12);
    }

    @Test
    void cornersStaySharp() {
        CellPlane square = plane(100, 100, (x, y) -> x >= 20 && x < 80 && y >= 20 && y < 80 ? 1 : 0);
        Path2D path = path(SmoothMap.of(square, cell -> cell, TOLERANCE_PX).around(1));
        Area missing = new Area(new Rectangle2D.Double(20, 20, 60, 60));
        missing.subtract(new Area(new BasicStroke(1.6f).createStrokedShape(path)));
        missing.subtract(new Area(path));
        assertThat(missing.isEmpty()).isTrue();
    }

    @Test
    void partsThatTouchAtACornerAreTwoLines() {
        CellPlane checks = plane(20, 20, (x, y) -> (x < 10) == (y < 10) ? 1 : 0);
        assertThat(SmoothMap.of(checks, cell -> cell, TOLERANCE_PX).around(1)).hasSize(2);
    }

    @Test
    void aHoleIsALineOfItsOwnThatRunsTheOtherWay() {
        CellPlane ring = plane(60, 60, (x, y) -> {
            double away = Math.hypot(x - 29.5, y - 29.5);
            return away < 10 ? 2 : away < 25 ? 1 : 0;
        });
        List<List<Cubic>> around =
                SmoothMap.of(ring, cell -> cell, TOLERANCE_PX).around(1);
        assertThat(around).hasSize(2);
        List<Double> areas =
                around.stream().map(SmoothMapTest::signedArea).sorted().toList();
        assertThat(areas.get(0)).isNegative();
        assertThat(areas.get(1)).isPositive();
    }

    @Test
    void whatIsJoinedHasNoBorderInside() {
        CellPlane quarters = plane(12, 12, (x, y) -> x / 6 + 2 * (y / 6));
        assertThat(SmoothMap.of(quarters, cell -> 0, TOLERANCE_PX).nodes()).isEqualTo(4);
    }

    private static CellPlane pebbles() {
        return plane(200, 160, (x, y) -> {
            if (Math.hypot(x - 60, y - 70) < 40) {
                return 1;
            }
            if (Math.hypot((x - 130) / 1.6, y - 80) < 30) {
                return 2;
            }
            return y > 120 + 12 * Math.sin(x / 15.0) ? 3 : 0;
        });
    }

    private static boolean isBesideAnother(CellPlane plane, int x, int y) {
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int column = Math.max(0, Math.min(plane.widthPx() - 1, x + dx));
                int row = Math.max(0, Math.min(plane.heightPx() - 1, y + dy));
                if (plane.numberAt(column, row) != plane.numberAt(x, y)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static CellPlane plane(int width, int height, IntBinaryOperator cell) {
        int[] numbers = new int[width * height];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = cell.applyAsInt(i % width, i / width);
        }
        return new CellPlane(width, height, numbers);
    }

    private static Path2D path(List<List<Cubic>> lines) {
        Path2D path = new Path2D.Double(Path2D.WIND_EVEN_ODD);
        for (List<Cubic> line : lines) {
            path.moveTo(line.get(0).x0(), line.get(0).y0());
            line.forEach(each -> path.curveTo(each.x1(), each.y1(), each.x2(), each.y2(), each.x3(), each.y3()));
            path.closePath();
        }
        return path;
    }

    private static double area(List<List<Cubic>> lines) {
        return new ArrayList<>(lines)
                .stream().mapToDouble(SmoothMapTest::signedArea).sum();
    }

    /** By Green's theorem, exact for cubic curves at four Gauss points. */
    private static double signedArea(List<Cubic> line) {
        double[] at = {0.0694318442029737, 0.3300094782075719, 0.6699905217924281, 0.9305681557970263};
        double[] weight = {0.1739274225687269, 0.3260725774312731, 0.3260725774312731, 0.1739274225687269};
        double area = 0;
        for (Cubic c : line) {
            for (int i = 0; i < at.length; i++) {
                double t = at[i];
                double s = 1 - t;
                double dx = 3 * (s * s * (c.x1() - c.x0()) + 2 * s * t * (c.x2() - c.x1()) + t * t * (c.x3() - c.x2()));
                double dy = 3 * (s * s * (c.y1() - c.y0()) + 2 * s * t * (c.y2() - c.y1()) + t * t * (c.y3() - c.y2()));
                area += weight[i] * (c.x(t) * dy - c.y(t) * dx) / 2;
            }
        }
        return area;
    }
}
