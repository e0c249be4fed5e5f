package stillpond.core.shadow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

class OutlineTest {

    private static final Outline SQUARE = new Outline(
            List.of(Knot.straight(0, 0), Knot.straight(90, 0), Knot.straight(90, 90), Knot.straight(0, 90)));

    private static final Outline BLOB =
            new Outline(List.of(Knot.smooth(0, 0), Knot.smooth(80, 10), Knot.straight(90, 70), Knot.smooth(-10, 60)));

    @Test
    void cornersAreJoinedByStraightLines() {
        assertThat(SQUARE.polygon())
                .containsExactly(new Point(0, 0), new Point(90, 0), new Point(90, 90), new Point(0, 90));
    }

    @Test
    void aSmoothCurveRunsThroughItsKnotsWithoutACornerThere() {
        List<Point> polygon = BLOB.polygon();
        for (Knot knot : BLOB.knots()) {
            assertThat(polygon).contains(new Point(knot.x(), knot.y()));
        }
        assertThat(turnAt(polygon, new Point(80, 10))).isLessThan(0.2);
        assertThat(turnAt(polygon, new Point(90, 70))).isGreaterThan(1);
    }

    /** By how much the polygon turns there, in radians. */
    private static double turnAt(List<Point> polygon, Point knot) {
        int at = polygon.indexOf(knot);
        Point before = polygon.get((at + polygon.size() - 1) % polygon.size());
        Point behind = polygon.get((at + 1) % polygon.size());
        double in = Math.atan2(knot.y() - before.y(), knot.x() - before.x());
        double out = Math.atan2(behind.y() - knot.y(), behind.x() - knot.x());
        return Math.abs(Math.IEEEremainder(out - in, 2 * Math.PI));
    }

    /** Of equally spaced points on a line, the curve is that line, run through evenly. */
    @Test
    void knotsOnALineGiveALine() {
        Outline flat = new Outline(List.of(
                Knot.smooth(0, 0), Knot.smooth(30, 0), Knot.smooth(60, 0), Knot.smooth(90, 0), Knot.straight(45, 300)));
        assertThat(flat.polygon().stream().filter(point -> point.x() >= 30 && point.x() <= 60 && point.y() < 100))
                .allMatch(point -> Math.abs(point.y()) < 1e-9);
    }

    @Test
    void isTheSameAfterBeingWrittenAndRead() {
        Knot drawn = new Knot(-3.5, 1234.1, new Bend.Drawn(-2, 0.5, 2, -0.3));
        Form form = new Form.Drawn(new Outline(List.of(Knot.smooth(1, 2), Knot.straight(0.3, -0.4), drawn)));
        assertThat(form.text()).isEqualTo("drawn 1,2 0.3,-0.4! -3.5,1234.1~-2,0.5~2,-0.3");
        for (String text : List.of(
                form.text(), "side 45 12.5", "rim 8 mitred filled under", "rim 0.5 round", "grain 4.5 17", "soft 30")) {
            assertThat(Form.ofText(text).text()).isEqualTo(text);
        }
    }

    @Test
    void whatIsNoFormIsRefusedWithAReason() {
        String many = "drawn" + " 1,1".repeat(10_000);
        assertThatThrownBy(() -> Form.ofText(many))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("up to 1,000 points; this one has 10000");
        assertThatThrownBy(() -> Form.ofText("drawn 0,0 5,5")).hasMessageContaining("three points");
        for (String text : List.of(
                "",
                "oval 3",
                "drawn 0,0 5,5 x,y",
                "drawn 0,0 5,5 1,2~3,4",
                "drawn 0,0 5,5 1,NaN",
                "drawn 0,0 5,5 1,1e9",
                "drawn 0,0 5,5 1,300000",
                "side 90 0",
                "side 90 2000",
                "rim 5 pointed",
                "grain 4",
                "grain 4 70000",
                "soft 0",
                "rim -5 round")) {
            assertThatThrownBy(() -> Form.ofText(text)).as(text).isInstanceOf(Refusal.class);
        }
    }

    @Test
    void oneMoreKnotLeavesTheCurveWhereItWas() {
        Outline drawn = Freehand.outline(circle(60), 1);
        for (Outline outline : List.of(SQUARE, drawn)) {
            Outline more = outline.splitNear(45, 2);
            assertThat(more.knots()).hasSize(outline.knots().size() + 1);
            for (Point point : more.polygon()) {
                assertThat(distance(point, outline.polygon())).isLessThan(0.4);
            }
        }
        assertThat(SQUARE.splitNear(45, 2).knots().get(1)).isEqualTo(Knot.straight(45, 0));
    }

    @Test
    void knotsAreMovedBentAndDropped() {
        assertThat(SQUARE.moving(1, 120, -5).knots().get(1)).isEqualTo(Knot.straight(120, -5));
        assertThat(SQUARE.bending(2).bending(2)).isEqualTo(SQUARE);
        assertThat(SQUARE.bending(2).knots().get(2).bend()).isEqualTo(Bend.SMOOTH);
        assertThat(SQUARE.without(0).knots()).hasSize(3);
        assertThatThrownBy(() -> SQUARE.without(0).without(0)).isInstanceOf(Refusal.class);
    }

    @Test
    void samplesLieInsideItAllOver() {
        Outline triangle = new Outline(List.of(Knot.straight(0, 0), Knot.straight(200, 0), Knot.straight(0, 200)));
        List<Point> samples = triangle.samples();
        assertThat(samples).hasSizeBetween(700, 900).allMatch(point -> point.x() + point.y() <= 205);
        assertThat(samples.stream()
                        .filter(point -> point.x() < 100 && point.y() < 100)
                        .count())
                .isCloseTo(samples.size() / 2L, within(20L));
        assertThat(SQUARE.placed(point -> new Point(point.x() / 90, point.y() / 90))
                        .samples())
                .as("one of the size of a pixel")
                .hasSize(1);
    }

    /** A line that runs twice around a place has it, and so does each loop of one that crosses itself. */
    @Test
    void tellsWhatItRunsAround() {
        assertThat(SQUARE.has(45, 45)).isTrue();
        assertThat(SQUARE.has(95, 45)).isFalse();
        assertThat(SQUARE.has(45, -1)).isFalse();
        Outline twice = new Outline(List.of(
                Knot.straight(0, 0),
                Knot.straight(90, 0),
                Knot.straight(90, 90),
                Knot.straight(0, 90),
                Knot.straight(0, 1),
                Knot.straight(80, 1),
                Knot.straight(80, 80),
                Knot.straight(0, 80)));
        assertThat(twice.has(40, 40)).isTrue();
    }

    @Test
    void tellsWhetherItCrossesItself() {
        assertThat(SQUARE.crossesItself()).isFalse();
        assertThat(BLOB.crossesItself()).isFalse();
        Outline bow = new Outline(
                List.of(Knot.straight(0, 0), Knot.straight(90, 90), Knot.straight(90, 0), Knot.straight(0, 90)));
        assertThat(bow.crossesItself()).isTrue();
    }

    @Test
    void aLineByHandBecomesASmoothOutlineOfFewKnotsNearIt() {
        List<Point> wobbly = new ArrayList<>();
        for (Point point : circle(400)) {
            double off = 0.8 * Math.sin(point.x() * 12.9898 + point.y() * 78.233);
            wobbly.add(new Point(point.x() + off, point.y() - off));
        }
        Outline outline = Freehand.outline(wobbly, 2.5);
        assertThat(outline.knots().size()).isBetween(3, 12);
        List<Point> polygon = outline.polygon();
        for (Point point : polygon) {
            assertThat(Math.hypot(point.x() - 45, point.y() - 45)).isCloseTo(45, within(4.0));
        }
        for (Point point : wobbly) {
            assertThat(distance(point, polygon)).isLessThan(3.2);
        }
    }

    @Test
    void cornersOfALineByHandStayCorners() {
        List<Point> square = new ArrayList<>();
        for (int[] side : new int[][] {{0, 0, 1, 0}, {1, 0, 0, 1}, {1, 1, -1, 0}, {0, 1, 0, -1}}) {
            IntStream.range(0, 60)
                    .forEach(i ->
                            square.add(new Point(120 * side[0] + 2 * i * side[2], 120 * side[1] + 2 * i * side[3])));
        }
        List<Point> polygon = Freehand.outline(square, 1.5).polygon();
        for (int[] corner : new int[][] {{0, 0}, {120, 0}, {120, 120}, {0, 120}}) {
            Point at = new Point(corner[0], corner[1]);
            assertThat(polygon.stream()
                            .mapToDouble(each -> Math.hypot(each.x() - at.x(), each.y() - at.y()))
                            .min()
                            .orElseThrow())
                    .isLessThan(2);
        }
    }

    @Test
    void tooLittleAndTooMuchOfALineIsRefused() {
        assertThatThrownBy(() -> Freehand.outline(List.of(new Point(0, 0), new Point(50, 0)), 2))
                .hasMessageContaining("too short");
        assertThatThrownBy(() -> Freehand.outline(List.of(new Point(0, 0), new Point(0.1, 0), new Point(0, 0.1)), 2))
                .hasMessageContaining("too short");
        List<Point> endless = new ArrayList<>(circle(10));
        while (endless.size() <= Freehand.MOST_POINTS) {
            endless.addAll(List.copyOf(endless));
        }
        assertThatThrownBy(() -> Freehand.outline(endless, 2)).isInstanceOf(Refusal.class);
    }

    private static List<Point> circle(int count) {
        return IntStream.range(0, count)
                .mapToObj(i -> new Point(
                        45 + 45 * Math.cos(2 * Math.PI * i / count), 45 + 45 * Math.sin(2 * Math.PI * i / count)))
                .toList();
    }

    private static double distance(Point point, List<Point> polygon) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < polygon.size(); i++) {
            Point a = polygon.get(i);
            Point b = polygon.get((i + 1) % polygon.size());
            double dx = b.x() - a.x();
            double dy = b.y() - a.y();
            double along = ((point.x() - a.x()) * dx + (point.y() - a.y()) * dy) / Math.max(1e-12, dx * dx + dy * dy);
            double share = Math.max(0, Math.min(1, along));
            least = Math.min(least, Math.hypot(a.x() + share * dx - point.x(), a.y() + share * dy - point.y()));
        }
        return least;
    }
}
