package stillpond.core.stroke;

import static org.assertj.core.api.Assertions.assertThat;
import static stillpond.core.stroke.Grid.SIDE;
import static stillpond.core.stroke.Grid.at;
import static stillpond.core.stroke.Grid.isWithin;
import static stillpond.core.stroke.Grid.strokes;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.gap.ThinnedInk;
import stillpond.core.ink.InkPlane;

class StrokeMapTest {

    /** Five wide, from edge to edge in the middle of the page. */
    private final InkPlane cross =
            Grid.of((x, y) -> isWithin(x, 28, 33) && isWithin(y, 5, 55) || isWithin(y, 28, 33) && isWithin(x, 5, 55));

    @Test
    void inkThatWearsASwatchCoversWhereItIsSolidHoweverPaleItWasDrawn() {
        assertThat(StrokeMap.coverage(255, 255)).isEqualTo(255);
        assertThat(StrokeMap.coverage(64, 255)).isEqualTo(64);
        assertThat(StrokeMap.coverage(80, 80)).isEqualTo(255);
        assertThat(StrokeMap.coverage(40, 80)).as("its soft edge").isEqualTo(127);
        assertThat(StrokeMap.coverage(90, 80)).isEqualTo(255);
    }

    @Test
    void aCrossIsFourStrokes() {
        StrokeMap map = StrokeMap.of(cross);
        assertThat(map.count()).isEqualTo(4);
        assertThat(Set.of(at(map, 30, 10), at(map, 10, 30), at(map, 50, 30), at(map, 30, 50)))
                .containsExactlyInAnyOrder(0, 1, 2, 3);
        assertThat(at(map, 30, 10)).as("numbered as they are read").isZero();
        assertThat(at(map, 30, 50)).isEqualTo(3);
        assertThat(strokes(cross).stream().mapToDouble(Stroke::inkPx).sum()).isEqualTo(cross.inkPixels());
    }

    /** The arms meet in the middle, give or take the width of the line. */
    @Test
    void anArmEndsAtTheJunction() {
        StrokeMap map = StrokeMap.of(cross);
        Box upper = strokes(cross).get(0).box();
        assertThat(upper.yStart()).isEqualTo(5);
        assertThat(upper.yEndExclusive()).isBetween(26, 35);
        for (int y = 5; y < 26; y++) {
            for (int x = 28; x < 33; x++) {
                assertThat(at(map, x, y)).isZero();
            }
        }
    }

    @Test
    void aRingIsOneStrokeWithoutEnds() {
        List<Stroke> strokes = strokes(Grid.of((x, y) -> {
            double radius = Math.hypot(x - 30, y - 30);
            return radius > 18 && radius < 22;
        }));
        assertThat(strokes).hasSize(1);
        assertThat(strokes.get(0).box()).isEqualTo(new Box(9, 9, 52, 52));
    }

    @Test
    void aBranchIsAThirdStroke() {
        StrokeMap map = StrokeMap.of(Grid.of(
                (x, y) -> isWithin(y, 28, 32) && isWithin(x, 4, 56) || isWithin(x, 28, 32) && isWithin(y, 30, 56)));
        assertThat(map.count()).isEqualTo(3);
        assertThat(Set.of(at(map, 8, 30), at(map, 52, 30), at(map, 30, 50))).hasSize(3);
    }

    /** A thick line does not lose its edge to a hair that is nearer to it than its own middle. */
    @Test
    void paperPartsStrokes() {
        StrokeMap map =
                StrokeMap.of(Grid.of((x, y) -> isWithin(y, 4, 56) && (isWithin(x, 20, 31) || isWithin(x, 34, 36))));
        assertThat(map.count()).isEqualTo(2);
        for (int y = 12; y < 48; y++) {
            assertThat(at(map, 30, y)).as("the edge of the thick one").isEqualTo(at(map, 21, y));
            assertThat(at(map, 34, y)).isNotEqualTo(at(map, 30, y));
        }
    }

    @Test
    void aBulgeIsNoStroke() {
        StrokeMap map = StrokeMap.of(Grid.of(
                (x, y) -> isWithin(y, 28, 33) && isWithin(x, 4, 56) || isWithin(x, 30, 33) && isWithin(y, 26, 30)));
        assertThat(map.count()).isEqualTo(1);
    }

    /** So that the soft edge of a stroke, which is hardly ink, has its colour. */
    @Test
    void paperBelongsToTheStrokeNearest() {
        StrokeMap map =
                StrokeMap.of(Grid.of((x, y) -> isWithin(y, 4, 56) && (isWithin(x, 10, 14) || isWithin(x, 46, 50))));
        assertThat(at(map, 16, 30)).isEqualTo(at(map, 12, 30));
        assertThat(at(map, 43, 30)).isEqualTo(at(map, 48, 30));
        assertThat(map.plane().numbers()).doesNotContain(StrokeMap.NONE);
    }

    @Test
    void everyPixelOfInkBelongsToOneWhateverIsDrawn() {
        for (int seed = 0; seed < 40; seed++) {
            InkPlane ink = scribble(new Random(seed));
            StrokeMap map = StrokeMap.of(ink);
            double[] counted = new double[map.count()];
            for (int i = 0; i < SIDE * SIDE; i++) {
                if (ink.isInk(i)) {
                    counted[at(map, i % SIDE, i / SIDE)]++;
                }
            }
            assertThat(counted)
                    .isEqualTo(strokes(ink).stream().mapToDouble(Stroke::inkPx).toArray());
        }
    }

    @Test
    void theSameInkGivesTheSameMap() {
        InkPlane ink = scribble(new Random(3));
        int[] first = StrokeMap.of(ink).plane().numbers();
        for (int i = 0; i < 5; i++) {
            assertThat(StrokeMap.of(ink).plane().numbers()).isEqualTo(first);
        }
    }

    @Test
    void aPageWithoutInkHasNoStrokes() {
        InkPlane blank = Grid.of((x, y) -> false);
        assertThat(StrokeMap.of(blank).count()).isZero();
        assertThat(StrokeMap.of(blank).plane().numbers()).containsOnly(StrokeMap.NONE);
        assertThat(strokes(blank)).isEmpty();
    }

    @Test
    void aPageOfInkIsOneStroke() {
        List<Stroke> strokes = strokes(Grid.of((x, y) -> true));
        assertThat(strokes).hasSize(1);
        assertThat(strokes.get(0).inkPx()).isEqualTo(SIDE * SIDE);
        assertThat(strokes.get(0).box()).isEqualTo(new Box(0, 0, SIDE, SIDE));
    }

    /** The shortest give way. */
    @Test
    void noiseIsBounded() {
        Random random = new Random(5);
        InkPlane noise = Grid.of((x, y) -> random.nextInt(3) == 0);
        assertThat(StrokeMap.of(noise).count()).isGreaterThan(20);

        StrokeMap map = StrokeMap.of(noise, ThinnedInk.of(noise), 20);

        assertThat(map.count()).isEqualTo(20);
        assertThat(Arrays.stream(map.plane().numbers()).distinct().sorted().toArray())
                .isEqualTo(IntStream.range(0, 20).toArray());
    }

    @Test
    void aStrokeDrawnPaleIsSolidWhereItIsDensest() {
        byte[] density = new byte[SIDE * SIDE];
        for (int i = 0; i < density.length; i++) {
            int x = i % SIDE;
            density[i] = (byte) (isWithin(x, 10, 15) ? 255 : isWithin(x, 40, 45) ? 150 : x == 45 ? 80 : 0);
        }
        StrokeMap map = StrokeMap.of(new InkPlane(SIDE, SIDE, density, 75));
        assertThat(map.solids()[at(map, 12, 30)]).isEqualTo(255);
        assertThat(map.solids()[at(map, 42, 30)]).isEqualTo(150);
    }

    /** A page whose strokes are wide is searched smaller than it is, and its strokes are the same. */
    @Test
    void aFinerScanHasTheSameStrokes() {
        int fine = 5;
        byte[] density = new byte[SIDE * SIDE * fine * fine];
        for (int i = 0; i < density.length; i++) {
            int x = i % (SIDE * fine) / fine;
            int y = i / (SIDE * fine) / fine;
            density[i] = (byte) (cross.isInk(y * SIDE + x) ? 255 : 0);
        }
        StrokeMap map = StrokeMap.of(new InkPlane(SIDE * fine, SIDE * fine, density, 128));

        assertThat(map.count()).isEqualTo(4);
        assertThat(map.plane().widthPx()).isLessThan(SIDE * fine);
        StrokeMap coarse = StrokeMap.of(cross);
        for (int[] place : new int[][] {{30, 10}, {10, 30}, {50, 30}, {30, 50}}) {
            assertThat(map.strokeAt(place[0] * fine, place[1] * fine)).isEqualTo(at(coarse, place[0], place[1]));
        }
    }

    /** Some thick lines this way and that. */
    private static InkPlane scribble(Random random) {
        List<int[]> lines = random.ints(6)
                .mapToObj(any -> random.ints(4, 3, SIDE - 3).toArray())
                .toList();
        double half = 0.7 + 2 * random.nextDouble();
        return Grid.of((x, y) -> lines.stream().anyMatch(line -> distance(x, y, line) <= half));
    }

    private static double distance(int x, int y, int[] line) {
        double dx = line[2] - line[0];
        double dy = line[3] - line[1];
        double along = ((x - line[0]) * dx + (y - line[1]) * dy) / Math.max(1e-9, dx * dx + dy * dy);
        double at = Math.max(0, Math.min(1, along));
        return Math.hypot(line[0] + at * dx - x, line[1] + at * dy - y);
    }
}
