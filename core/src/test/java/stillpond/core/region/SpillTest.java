package stillpond.core.region;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Dams;

class SpillTest {

    /** A small room that opens on a large one, and that on the page around. */
    private final Rooms rooms = new Rooms(3, 1)
            .withArea(0, 100)
            .withArea(1, 300)
            .withArea(2, 900)
            .open(0, 1, 6, 0.4)
            .open(0, 1, 9, 0.4)
            .open(1, 2, 5, 0.05);

    @Test
    void aFillThatWouldCoverManyTimesThePieceSaysThroughWhatAndWhere() {
        Optional<Spill> spill = Spill.from(0, rooms.at(Dams.at(0.5)), rooms.openings(), Dams.at(0.5));

        assertThat(spill).hasValueSatisfying(found -> {
            assertThat(found.dam()).containsExactlyInAnyOrder(0, 1);
            assertThat(found.narrowestPx()).isEqualTo(6);
            assertThat(found.times()).isEqualTo(13);
            assertThat(found.way()).as("through the wider gap").first().isEqualTo(1);
        });
    }

    @Test
    void closuresAcrossOneGapAreOnePlace() {
        Rooms oneGap = new Rooms(2, 1)
                .withArea(0, 100)
                .withArea(1, 900)
                .open(0, 1, 6, 0.4)
                .open(0, 1, 6.5, 0.4);

        assertThat(Spill.from(0, oneGap.at(Dams.at(0.5)), oneGap.openings(), Dams.at(0.5)))
                .hasValueSatisfying(found -> assertThat(found.places()).isEqualTo(1));
    }

    @Test
    void whatIsDammedOrHardlyAGapIsNotAskedAbout() {
        Dams dammed = Dams.at(0.3);
        assertThat(Spill.from(0, rooms.at(dammed), rooms.openings(), dammed)).isEmpty();

        Rooms wide = new Rooms(2, 1).withArea(1, 900).open(0, 1, 9, 0.05);
        assertThat(Spill.from(0, wide.at(Dams.at(0.5)), wide.openings(), Dams.at(0.5)))
                .isEmpty();
    }

    @Test
    void halfAsMuchAgainIsEnoughWhereItRunsToTheEdge() {
        Rooms inner = new Rooms(3, 3).withArea(4, 100).withArea(1, 150).open(1, 4, 3, 0.4);
        assertThat(Spill.from(4, inner.at(Dams.at(0.5)), inner.openings(), Dams.at(0.5)))
                .isPresent();

        Rooms closed = new Rooms(4, 3).withArea(5, 100).withArea(6, 150).open(5, 6, 3, 0.4);
        assertThat(Spill.from(5, closed.at(Dams.at(0.5)), closed.openings(), Dams.at(0.5)))
                .isEmpty();
    }
}
