package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.geom.Arc2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Cell;
import stillpond.core.ink.InkPlane;

class HandDamTest {

    private static final double SCALE = 1.5;

    private final InkPlane ink =
            Drawn.of(new Rectangle2D.Double(60, 40, 200, 220), new Arc2D.Double(290, 100, 80, 80, 20, 320, Arc2D.OPEN));
    private final Openings before = Openings.of(ink);

    /** The ends stop a little short of the box and are carried on to it. */
    @Test
    void aLineAcrossABoxPartsItAndNothingElse() {
        int[] former = before.cells().plane().numbers().clone();
        Cell inBox = before.cells().cellAt((int) (160 * SCALE), (int) (80 * SCALE));
        HandDam.Parted parted = (HandDam.Parted) draw(70, 150, 252, 155);
        Openings after = parted.openings();
        assertThat(cell(after, 160, 80)).isNotEqualTo(cell(after, 160, 230));
        assertThat(parted.split()).singleElement().satisfies(split -> {
            assertThat(split.cell()).isEqualTo(inBox.number());
            assertThat(split.parts())
                    .containsExactlyInAnyOrder(
                            split.cell(), before.cells().cells().size());
        });
        int[] numbers = after.cells().plane().numbers();
        for (int i = 0; i < numbers.length; i++) {
            if (former[i] != inBox.number()) {
                assertThat(numbers[i]).isEqualTo(former[i]);
            }
        }
        int sum = parted.split().get(0).parts().stream()
                .mapToInt(part -> after.cells().cells().get(part).areaPx())
                .sum();
        assertThat(sum).isEqualTo(inBox.areaPx());
        parted.former().forEach(patch -> patch.putInto(after.cells().plane()));
        assertThat(after.cells().plane().numbers()).isEqualTo(former);
    }

    @Test
    void aLineThatNoHandDrawsIsRefused() {
        List<List<Point>> lines = List.of(
                List.of(new Point(-1e9, 100), new Point(1e9, 100)),
                List.of(new Point(0, 0), new Point(Double.POSITIVE_INFINITY, 0)),
                List.of(new Point(Double.NaN, 0), new Point(10, 10)),
                IntStream.range(0, 2000)
                        .mapToObj(i -> new Point(i % 2 * 500, i))
                        .toList());
        for (List<Point> line : lines) {
            assertThatThrownBy(() -> HandDam.draw(before, ink, line)).hasMessageContaining("longer than the sheet");
            assertThatThrownBy(() -> HandDam.joined(before, ink, line)).hasMessageContaining("longer than the sheet");
        }
    }

    @Test
    void itHoldsAtAnyReachAndCanBeLifted() {
        HandDam.Parted parted = (HandDam.Parted) draw(70, 150, 252, 155);
        Openings after = parted.openings();
        int top = cell(after, 160, 80);
        int bottom = cell(after, 160, 230);
        Regions dammed = Regions.of(after, Dams.at(1));
        assertThat(dammed.of(top)).isNotEqualTo(dammed.of(bottom));
        Regions lifted = Regions.of(after, Dams.at(1).opening(parted.dam()));
        assertThat(lifted.of(top)).isEqualTo(lifted.of(bottom));
    }

    /** Rooms joined through a door that nobody shut: a line through the door parts left from right, and not top from bottom. */
    @Test
    void aLineThroughAnOpeningPartsItsSides() {
        InkPlane rooms = Drawn.of(
                new Rectangle2D.Double(60, 40, 200, 220),
                new Line2D.Double(60, 150, 150, 150),
                new Line2D.Double(170, 150, 260, 150));
        Openings door = Openings.of(rooms);
        assertThat(cell(door, 160, 100)).isNotEqualTo(cell(door, 160, 200));
        for (double x : new double[] {152, 156, 160, 164, 168}) {
            HandDam.Parted parted = (HandDam.Parted) HandDam.draw(door, rooms, line(x, 50, x, 250));
            Regions regions = Regions.of(parted.openings(), Dams.at(1).shutting(parted.dam()));
            int left = regions.of(cell(parted.openings(), 100, 100));
            int right = regions.of(cell(parted.openings(), 220, 100));
            assertThat(left).isNotEqualTo(right);
            assertThat(regions.of(cell(parted.openings(), 100, 200))).isNotEqualTo(right);
            assertThat(regions.of(cell(parted.openings(), 220, 200))).isNotEqualTo(left);
            parted.former().forEach(patch -> patch.putInto(door.cells().plane()));
        }
    }

    @Test
    void openingsKeepTheirIndices() {
        Openings after = ((HandDam.Parted) draw(70, 150, 252, 155)).openings();
        for (int i = 0; i < before.openings().size(); i++) {
            assertThat(after.openings().get(i).line())
                    .isEqualTo(before.openings().get(i).line());
        }
        assertThat(after.openings().size()).isGreaterThan(before.openings().size());
    }

    @Test
    void aLineInTheOpenPartsNothing() {
        assertThat(draw(120, 150, 180, 155)).isInstanceOf(HandDam.PartsNothing.class);
    }

    @Test
    void aSecondDamMayEndAtTheFirst() {
        HandDam.Parted first = (HandDam.Parted) draw(70, 150, 252, 155);
        HandDam.Outcome second = HandDam.draw(first.openings(), ink, line(160, 152, 165, 252));
        assertThat(second).isInstanceOf(HandDam.Parted.class);
        Openings after = ((HandDam.Parted) second).openings();
        assertThat(Set.of(cell(after, 160, 80), cell(after, 100, 230), cell(after, 230, 230)))
                .hasSize(3);
    }

    /** A stroke that is no border is crossed out for filling, and the ink stays. */
    @Test
    void aLineAcrossInkJoinsWhatLiesOnBothSides() {
        Openings joined = HandDam.joined(before, ink, line(160, 150, 20, 150));
        Regions regions = Regions.of(joined, Dams.at(before.defaultReach()));
        assertThat(regions.of(cell(joined, 160, 150))).isEqualTo(regions.of(cell(joined, 20, 150)));
        assertThat(joined.cells()).isEqualTo(before.cells());
    }

    private HandDam.Outcome draw(double... points) {
        return HandDam.draw(before, ink, line(points));
    }

    private static List<Point> line(double... points) {
        return List.of(
                new Point(points[0] * SCALE, points[1] * SCALE), new Point(points[2] * SCALE, points[3] * SCALE));
    }

    private static int cell(Openings openings, double x, double y) {
        return openings.cells().plane().numberAt((int) (x * SCALE), (int) (y * SCALE));
    }
}
