package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/** A ring of ink on a page: what lies inside is divided. */
class EvenDamsTest {

    private static final int SIZE = 200;
    private static final Point MIDDLE = new Point(100, 100);

    private static InkPlane ring() {
        byte[] density = new byte[SIZE * SIZE];
        for (int i = 0; i < density.length; i++) {
            double away = Math.hypot(i % SIZE + 0.5 - 100, i / SIZE + 0.5 - 100);
            density[i] = (byte) (Math.abs(away - 80) < 3 ? 255 : 0);
        }
        return new InkPlane(SIZE, SIZE, density, 128);
    }

    private static Openings openings(InkPlane ink) {
        return new Openings(CellMap.of(ink), List.of(), 6, 1, false);
    }

    private static HandDam.Outcome divided(Openings openings, InkPlane ink, Even even) {
        Set<Integer> inside = Set.of(openings.cells().cellAt(100, 100).number());
        return HandDam.drawAll(openings, ink, EvenDams.lines(openings.cells(), inside, even, MIDDLE));
    }

    @Test
    void stripsPartADiscAndLeaveTheOutsideWhole() {
        InkPlane ink = ring();
        Openings before = openings(ink);
        int outside = before.cells().cellAt(3, 3).areaPx();
        HandDam.Parted parted = (HandDam.Parted) divided(before, ink, new Even.Strips(4, 0));

        assertThat(parted.openings().cells().cells()).hasSize(5);
        assertThat(parted.openings().cells().cellAt(3, 3).areaPx()).isEqualTo(outside);
        assertThat(parted.dam()).hasSizeGreaterThanOrEqualTo(3);
    }

    @Test
    void spokesPartItIntoAsManyParts() {
        InkPlane ink = ring();
        HandDam.Parted parted = (HandDam.Parted) divided(openings(ink), ink, new Even.Spokes(6, 10));

        assertThat(parted.openings().cells().cells()).hasSize(7);
    }

    @Test
    void linesThatEndOnAnIslandPartTogether() {
        InkPlane ink = ring();
        for (int y = 60; y < 140; y++) {
            for (int x = 110; x < 150; x++) {
                ink.density()[y * SIZE + x] = (byte) 255;
            }
        }
        HandDam.Parted parted = (HandDam.Parted) HandDam.drawAll(
                openings(ink),
                ink,
                EvenDams.lines(
                        openings(ink).cells(),
                        Set.of(openings(ink).cells().cellAt(60, 100).number()),
                        new Even.Spokes(4, 0),
                        MIDDLE));

        // Of the spoke to the right, one piece lies before the island and one behind it.
        assertThat(parted.openings().cells().cells())
                .hasSize(openings(ink).cells().cells().size() + 3);
        assertThat(parted.dam()).hasSizeGreaterThanOrEqualTo(5);
    }

    @Test
    void anExtendedLineReachesInkHoweverFarItIs() {
        InkPlane ink = ring();
        List<Point> line = List.of(new Point(70, 100), new Point(130, 100));

        assertThat(HandDam.draw(openings(ink), ink, line)).isInstanceOf(HandDam.PartsNothing.class);
        assertThat(HandDam.drawExtended(openings(ink), ink, line)).isInstanceOf(HandDam.Parted.class);
    }

    @Test
    void aCentreFarAwayIsRefusedBeforeAnyLineIsFollowed() {
        Openings openings = openings(ring());

        assertThatThrownBy(() -> EvenDams.lines(
                        openings.cells(), Set.of(1), new Even.Spokes(360, 0), new Point(-1e12, Double.NaN)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("beside the sheet");
    }

    @Test
    void nothingGatheredIsSaid() {
        InkPlane ink = ring();
        Openings openings = openings(ink);

        assertThatThrownBy(() -> EvenDams.lines(openings.cells(), Set.of(), new Even.Rings(3), MIDDLE))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Gather the region");
        assertThatThrownBy(() -> Even.of("STARS", 3, 3, 0)).isInstanceOf(Refusal.class);
    }
}
