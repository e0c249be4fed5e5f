package stillpond.core.shadow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;

class MaskTest {

    private static final Box BOX = new Box(10, 20, 74, 68);

    /** Random stars, which cross themselves, against counting how often they run around many places in each pixel. */
    @Test
    void coversAPixelByTheAreaInsideAPolygon() {
        Random random = new Random(7);
        for (int round = 0; round < 8; round++) {
            List<Point> polygon = new ArrayList<>();
            for (int i = 0; i < 7; i++) {
                polygon.add(new Point(80 * random.nextDouble(), 10 + 70 * random.nextDouble()));
            }
            Mask mask = Mask.inside(polygon, BOX);
            for (int y = BOX.yStart(); y < BOX.yEndExclusive(); y++) {
                for (int x = BOX.xStart(); x < BOX.xEndExclusive(); x++) {
                    assertThat(mask.at(x, y) / 255.0).isCloseTo(areaInside(polygon, x, y), within(0.26));
                }
            }
            double all = 0;
            double wanted = 0;
            for (int y = BOX.yStart(); y < BOX.yEndExclusive(); y++) {
                for (int x = BOX.xStart(); x < BOX.xEndExclusive(); x++) {
                    all += mask.at(x, y) / 255.0;
                    wanted += areaInside(polygon, x, y);
                }
            }
            assertThat(all).isCloseTo(wanted, within(0.01 * BOX.widthPx() * BOX.heightPx()));
        }
    }

    private static double areaInside(List<Point> polygon, int x, int y) {
        int inside = 0;
        for (int i = 0; i < 64; i++) {
            inside += winding(polygon, x + (i % 8 + 0.5) / 8, y + (i / 8 + 0.5) / 8) != 0 ? 1 : 0;
        }
        return inside / 64.0;
    }

    /** By the sum of the angles under which the sides are seen. */
    private static int winding(List<Point> polygon, double x, double y) {
        double angle = 0;
        for (int i = 0; i < polygon.size(); i++) {
            Point a = polygon.get(i);
            Point b = polygon.get((i + 1) % polygon.size());
            double from = Math.atan2(a.y() - y, a.x() - x);
            double to = Math.atan2(b.y() - y, b.x() - x);
            angle += Math.IEEEremainder(to - from, 2 * Math.PI);
        }
        return (int) Math.round(angle / (2 * Math.PI));
    }

    @Test
    void widensByADistanceAsASlowSearchDoes() {
        Random random = new Random(3);
        for (double px : new double[] {0.7, 1, 2.5, 6, 11.3}) {
            Mask mask = new Mask(BOX);
            for (int i = 0; i < 12; i++) {
                mask.covered[random.nextInt(mask.covered.length)] = (byte) 255;
            }
            Mask wide = mask.widened(px);
            for (int i = 0; i < wide.covered.length; i++) {
                assertThat(wide.covered[i] != 0).isEqualTo(isNear(mask, i, px));
            }
        }
    }

    private static boolean isNear(Mask mask, int to, double px) {
        int width = BOX.widthPx();
        for (int i = 0; i < mask.covered.length; i++) {
            double apart = Math.hypot(i % width - to % width, i / width - to / width);
            if (mask.covered[i] != 0 && apart <= px) {
                return true;
            }
        }
        return false;
    }

    @Test
    void aSoftEdgeFadesEvenlyOverItsWidthAndLeavesTheRest() {
        Mask mask = Mask.inside(List.of(new Point(0, 0), new Point(42, 0), new Point(42, 100), new Point(0, 100)), BOX);
        mask.soften(12);
        int y = 44;
        assertThat(mask.at(35, y)).isEqualTo(255);
        assertThat(mask.at(48, y)).isZero();
        assertThat((mask.at(41, y) + mask.at(42, y)) / 2).isCloseTo(127, within(3));
        for (int x = 36; x < 48; x++) {
            assertThat(mask.at(x, y)).isGreaterThanOrEqualTo(mask.at(x + 1, y));
        }
        assertThat(mask.at(38, y)).isBetween(200, 254);
        assertThat(mask.at(45, y)).isBetween(1, 55);
    }
}
