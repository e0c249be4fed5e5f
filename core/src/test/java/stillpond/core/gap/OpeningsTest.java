package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ForkJoinPool;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Placing;

/** Places are given in the units of {@link Drawn}. */
class OpeningsTest {

    private static final Shape HEAD_WITH_GAP = new Arc2D.Double(100, 50, 200, 200, 10, 342, Arc2D.OPEN);

    @Test
    void aGapInAnOutlineIsDammed() {
        Openings openings = Openings.of(Drawn.of(HEAD_WITH_GAP));
        assertThat(region(openings, 200, 150)).isNotEqualTo(region(openings, 20, 20));
        double dammed = openings.openings().stream()
                .filter(opening -> opening.kind() == Opening.Kind.ENDS && opening.strength() > openings.defaultReach())
                .mapToDouble(Opening::widthPx)
                .sum();
        // 18 degrees of a radius of 100, less the two round caps.
        assertThat(dammed / 1.5).isCloseTo(31.4 - Drawn.STROKE, within(7.0));
    }

    @Test
    void cellsThatMeetOnPaperHaveAnOpeningBetweenThem() {
        InkPlane ink = Drawn.of(
                new Rectangle2D.Double(40, 40, 320, 220),
                Drawn.line(200, 40, 200, 140),
                Drawn.line(200, 150, 200, 260),
                Drawn.line(60, 80, 120, 80),
                Drawn.line(60, 88, 120, 88));
        Openings openings = Openings.of(ink);
        CellPlane plane = openings.cells().plane();
        Set<List<Integer>> joined = openings.openings().stream()
                .map(opening -> List.of(opening.first(), opening.second()))
                .collect(Collectors.toSet());
        int[] numbers = plane.numbers();
        IntStream.range(0, numbers.length - plane.widthPx())
                .filter(i -> i % plane.widthPx() < plane.widthPx() - 1 && !ink.isInk(i))
                .forEach(i -> IntStream.of(i + 1, i + plane.widthPx())
                        .filter(beside -> !ink.isInk(beside) && numbers[beside] != numbers[i])
                        .forEach(beside -> assertThat(joined)
                                .contains(List.of(
                                        Math.min(numbers[i], numbers[beside]),
                                        Math.max(numbers[i], numbers[beside])))));
        assertThat(joined).isNotEmpty();
    }

    @Test
    void severalGapsOfOneOutlineAreAllDammed() {
        Openings openings = Openings.of(
                Drawn.of(arc(0, 80), arc(90, 80), arc(180, 80), arc(270, 80), new Ellipse2D.Double(170, 120, 20, 20)));
        assertThat(region(openings, 200, 200)).isNotEqualTo(region(openings, 20, 20));
    }

    @Test
    void anEndThatStopsShortOfAStrokeIsCarriedOnToIt() {
        Openings openings =
                Openings.of(Drawn.of(new Rectangle2D.Double(60, 40, 280, 220), Drawn.line(200, 43, 200, 244)));
        assertThat(region(openings, 120, 150)).isNotEqualTo(region(openings, 280, 150));
    }

    @Test
    void wrinklesAndHatchingCutNothing() {
        List<Shape> strokes = new ArrayList<>(List.of(new Rectangle2D.Double(60, 40, 280, 220)));
        strokes.add(Drawn.line(62, 150, 100, 160));
        strokes.add(Drawn.line(338, 90, 310, 120));
        for (int i = 0; i < 5; i++) {
            strokes.add(Drawn.line(150 + 18 * i, 130, 160 + 18 * i, 170));
        }
        Openings openings = Openings.of(Drawn.at(1.5, strokes));
        int inside = region(openings, 200, 80);
        assertThat(List.of(
                        region(openings, 80, 60),
                        region(openings, 320, 240),
                        region(openings, 80, 240),
                        region(openings, 200, 220)))
                .allMatch(region -> region == inside);
        assertThat(inside).isNotEqualTo(region(openings, 20, 20));
    }

    /** The outside among leaves that lie near each other is not cut into puddles. */
    @Test
    void looseThingsLeaveTheOutsideWhole() {
        List<Shape> leaves = new ArrayList<>();
        double[][] places = {{60, 50}, {150, 40}, {95, 120}, {190, 110}, {270, 60}, {60, 210}, {150, 195}, {250, 180}};
        for (double[] place : places) {
            leaves.add(AffineTransform.getRotateInstance(place[0], place[0] + 35, place[1] + 18)
                    .createTransformedShape(new Ellipse2D.Double(place[0], place[1], 70, 36)));
        }
        Openings openings = Openings.of(Drawn.at(1.5, leaves));
        int outside = region(openings, 5, 5);
        assertThat(List.of(region(openings, 145, 105), region(openings, 180, 160), region(openings, 260, 120)))
                .allMatch(region -> region == outside);
        assertThat(region(openings, 95, 68)).isNotEqualTo(outside);
    }

    /** The sky on both sides of a steeple that comes near the edge of the page is one. */
    @Test
    void aThingThatSticksOutLeavesTheSkyWhole() {
        Openings openings = Openings.of(Drawn.of(
                new Rectangle2D.Double(20, 20, 360, 260),
                Drawn.line(23, 220, 160, 220, 160, 120, 200, 44, 240, 120, 240, 220, 377, 220)));
        assertThat(region(openings, 80, 120)).isEqualTo(region(openings, 320, 120));
        assertThat(region(openings, 200, 150)).isNotEqualTo(region(openings, 80, 120));
    }

    @Test
    void twoBulgingStrokesMayMeetInANeck() {
        Path2D top = Drawn.line(60, 60, 60, 40, 340, 40, 340, 60);
        Path2D left = new Path2D.Double();
        left.moveTo(60, 40);
        left.quadTo(380, 150, 60, 260);
        Path2D right = new Path2D.Double();
        right.moveTo(340, 40);
        right.quadTo(80, 150, 340, 260);
        Openings openings = Openings.of(Drawn.of(top, left, right, Drawn.line(60, 260, 340, 260)));
        assertThat(openings.openings()).anyMatch(opening -> opening.kind() == Opening.Kind.NECK);
    }

    @Test
    void aStrokeThatStopsShortOfTheEdgeOfThePageIsCarriedOffIt() {
        Openings openings = Openings.of(Drawn.of(Drawn.line(12, 150, 388, 150)));
        assertThat(region(openings, 200, 40)).isNotEqualTo(region(openings, 200, 260));
    }

    /** 300 and 1200 dpi of one drawing. */
    @Test
    void resolutionChangesNoRegion() {
        List<Shape> figure = List.of(
                HEAD_WITH_GAP,
                new Ellipse2D.Double(150, 110, 30, 30),
                new Ellipse2D.Double(220, 110, 30, 30),
                Drawn.line(150, 190, 250, 195),
                Drawn.line(30, 280, 370, 280));
        Openings coarse = Openings.of(Drawn.at(1, figure));
        Openings fine = Openings.of(Drawn.at(4, figure));
        double[][] places = {{200, 80}, {165, 125}, {235, 125}, {200, 230}, {20, 20}, {200, 295}};
        for (double[] a : places) {
            for (double[] b : places) {
                assertThat(region(coarse, a[0], a[1]) == region(coarse, b[0], b[1]))
                        .as("%s and %s", a, b)
                        .isEqualTo(region(fine, a[0], a[1]) == region(fine, b[0], b[1]));
            }
        }
    }

    @Test
    void theNumberOfThreadsChangesNothing() throws Exception {
        InkPlane ink = Drawn.of(HEAD_WITH_GAP, arc(30, 50), Drawn.line(20, 20, 90, 250), Drawn.line(250, 20, 380, 200));
        Openings many = Openings.of(ink);
        ForkJoinPool single = new ForkJoinPool(1);
        Openings one = single.submit(() -> Openings.of(ink)).get();
        single.shutdown();
        assertThat(OpeningsCodec.encode(one)).isEqualTo(OpeningsCodec.encode(many));
        assertThat(PlaneCodec.encode(one.cells())).isEqualTo(PlaneCodec.encode(many.cells()));
    }

    @Test
    void theStoredFormKeepsAll() {
        Openings openings = Openings.of(Drawn.of(HEAD_WITH_GAP));
        Openings again = OpeningsCodec.decode(OpeningsCodec.encode(openings), openings.cells());
        assertThat(again.openings()).hasSameSizeAs(openings.openings());
        for (int i = 0; i < again.openings().size(); i++) {
            Opening before = openings.openings().get(i);
            Opening after = again.openings().get(i);
            assertThat(after.first()).isEqualTo(before.first());
            assertThat(after.kind()).isEqualTo(before.kind());
            assertThat(after.strength()).isCloseTo(before.strength(), within(1e-6));
            assertThat(after.line().get(0).x()).isCloseTo(before.line().get(0).x(), within(0.06));
        }
        assertThat(Regions.of(again, Dams.at(0.5)).ofCells())
                .isEqualTo(Regions.of(openings, Dams.at(0.5)).ofCells());
    }

    /** Opened once, a gap stays open on a scan of the page that lies 7 pixels further right. */
    @Test
    void whatWasSaidAboutAGapIsBroughtOver() {
        Openings old = Openings.of(Drawn.of(HEAD_WITH_GAP));
        Path2D shifted = new Path2D.Double(HEAD_WITH_GAP, AffineTransform.getTranslateInstance(7 / 1.5, 0));
        Openings fresh = Openings.of(Drawn.of(shifted));
        Set<Integer> all = IntStream.range(0, old.openings().size()).boxed().collect(Collectors.toSet());
        Dams opened = Dams.at(old.defaultReach()).opening(all);
        Dams carried = CarriedDams.carry(old, opened, fresh, new Placing(1, 1, -7, 0));
        assertThat(carried.open()).isNotEmpty();
        Regions regions = Regions.of(fresh, carried);
        assertThat(regions.of(fresh.cells().plane().numberAt(300, 225)))
                .isEqualTo(regions.of(fresh.cells().plane().numberAt(20, 20)));
        assertThat(carried.reach()).isEqualTo(fresh.defaultReach());
    }

    /** At any reach a region is whole at the next one up: reach is one cut through a tree. */
    @Test
    void regionsOnlyGrowAsReachFalls() {
        Openings openings = Openings.of(Drawn.of(
                HEAD_WITH_GAP,
                Drawn.line(20, 20, 90, 250),
                Drawn.line(250, 20, 380, 200),
                Drawn.line(130, 150, 230, 160)));
        Regions before = Regions.of(openings, Dams.at(0));
        for (double reach = 0.05; reach <= 1; reach += 0.05) {
            Regions after = Regions.of(openings, Dams.at(reach));
            for (int a = 0; a < openings.cells().cells().size(); a++) {
                for (int b = 0; b < a; b++) {
                    if (before.of(a) == before.of(b)) {
                        assertThat(after.of(a)).isEqualTo(after.of(b));
                    }
                }
            }
            before = after;
        }
        assertThat(Regions.of(openings, Dams.at(1)).count()).isEqualTo(1);
    }

    @Test
    void noiseSpecksAndGridsStayWithinTheBudget() {
        Random random = new Random(1);
        InkPlane noise = plane(480, 320, i -> random.nextInt(3) == 0);
        InkPlane grid = plane(300, 200, i -> i % 300 % 2 == 0 || i / 300 % 2 == 0);
        InkPlane hatching = plane(700, 500, i -> (i % 700 + i / 700) % 9 < 3 && i / 700 % 40 > 3);
        for (InkPlane page : List.of(noise, grid, hatching)) {
            Openings openings = Openings.of(page);
            assertThat(Pieces.cut(page).closures()).hasSizeLessThanOrEqualTo(ClosureNet.MAX_CLOSURES);
            assertThat(openings.cells().cells()).isNotEmpty();
            assertThat(openings.isLimited()).isEqualTo(page == noise || page == hatching);
        }
    }

    private static InkPlane plane(int width, int height, IntPredicate isInk) {
        byte[] density = new byte[width * height];
        for (int i = 0; i < density.length; i++) {
            density[i] = (byte) (isInk.test(i) ? 255 : 0);
        }
        return new InkPlane(width, height, density, 128);
    }

    private static Shape arc(double start, double extent) {
        return new Arc2D.Double(100, 50, 200, 200, start, extent, Arc2D.OPEN);
    }

    private static int region(Openings openings, double x, double y) {
        double scale = openings.cells().plane().widthPx() / Drawn.WIDTH;
        Regions regions = Regions.of(openings, Dams.at(openings.defaultReach()));
        return regions.of(openings.cells().plane().numberAt((int) (x * scale), (int) (y * scale)));
    }
}
