package stillpond.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellPlane;
import stillpond.core.refusal.Refusal;

/** Pages of 200 pixels, 0.1 mm each. */
class CutJobTest {

    private static final double MM = 0.1;
    private static final List<String> NAMES = List.of("Coat", "Scarf");
    private static final CutSettings PLAIN = new CutSettings(0, 0, 0, CutSettings.Small.LEFT_OUT, 0, 100);

    /** A square with a square hole, in which there is another square. */
    private static final CellPlane NESTED = Pages.of(
            200,
            (x, y) -> Pages.isIn(x, y, 20, 180) && (!Pages.isIn(x, y, 60, 140) || Pages.isIn(x, y, 90, 110)) ? 1 : 0);

    private static CutJob coat(CellPlane plane, CutSettings settings) {
        return CutJob.of(plane, NAMES, 1, MM, settings);
    }

    @Test
    void whatLiesInsideIsCutBeforeWhatLiesAroundItAndTheWasteLast() {
        CutJob job = coat(NESTED, new CutSettings(0.25, 1, 0, CutSettings.Small.LEFT_OUT, 1, 100));
        assertThat(job.pieces()).isEqualTo(2);
        assertThat(job.cuts().stream().map(Cut::kind))
                .containsExactly(Cut.Kind.PIECE, Cut.Kind.HOLE, Cut.Kind.PIECE, Cut.Kind.WEED);
        assertThat(job.cuts().stream().map(Cut::lengthMm).map(Math::round)).containsExactly(8L, 32L, 64L, 72L);
        assertThat(job.areaMm2()).isCloseTo(16 * 16 - 8 * 8 + 2 * 2, within(0.3));
    }

    @Test
    void neighboursThatAreCutFromOtherStuffHaveTheSameBorder() {
        CellPlane plane = Pages.of(200, (x, y) -> {
            double wave = 100 + 20 * Math.sin(y / 15.0);
            return Pages.isIn(x, y, 20, 180) ? x < wave ? 1 : 2 : 0;
        });
        Set<Spot> shared = spots(CutJob.of(plane, NAMES, 1, MM, PLAIN));
        Set<Spot> scarf = spots(CutJob.of(plane, NAMES, 2, MM, PLAIN));
        Set<Spot> between = shared.stream()
                .filter(spot -> spot.xMm() > 6 && spot.xMm() < 14 && spot.yMm() > 3 && spot.yMm() < 17)
                .collect(Collectors.toSet());
        assertThat(between).hasSizeGreaterThan(20);
        assertThat(scarf.stream().map(CutJobTest::rounded).toList())
                .containsAll(between.stream().map(CutJobTest::rounded).toList());
    }

    private static Spot rounded(Spot spot) {
        return new Spot(Math.round(spot.xMm() * 1e6) / 1e6, Math.round(spot.yMm() * 1e6) / 1e6);
    }

    /** Without those at which a cut is begun, which are in the middle of a step. */
    private static Set<Spot> spots(CutJob job) {
        Set<Spot> spots = new HashSet<>();
        for (Cut cut : job.cuts()) {
            cut.moves().stream().limit(cut.moves().size() - 2L).forEach(move -> spots.add(move.to()));
        }
        return spots;
    }

    @Test
    void piecesTooSmallToHandleAreLeftOutOrJoinTheNeighbourThatTheyBorderMost() {
        CellPlane buttons = Pages.of(
                200,
                (x, y) ->
                        Pages.isIn(x, y, 90, 96) ? 2 : Pages.isIn(x, y, 40, 160) ? 1 : Pages.isIn(x, y, 2, 6) ? 2 : 0);
        CutSettings out = new CutSettings(0, 0, 1, CutSettings.Small.LEFT_OUT, 0, 100);
        CutSettings joined = new CutSettings(0, 0, 1, CutSettings.Small.JOINED, 0, 100);
        assertThat(coat(buttons, out).cuts()).hasSize(2);
        CutJob whole = coat(buttons, joined);
        assertThat(whole.cuts()).hasSize(1);
        assertThat(whole.small()).as("those of the coat alone").isEmpty();
        assertThatThrownBy(() -> CutJob.of(buttons, NAMES, 2, MM, joined))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("large enough");

        CellPlane scarf = Pages.of(200, (x, y) -> y > 150 ? 2 : buttons.numberAt(x, y));
        List<CutJob.Small> small = CutJob.of(scarf, NAMES, 2, MM, joined).small();
        assertThat(small).extracting(CutJob.Small::joined).containsExactly("Coat", "");
        assertThat(small.get(0).areaMm2()).isCloseTo(0.36, within(1e-9));
        assertThat(small.get(0).middle().xMm()).isCloseTo(9.3, within(1e-9));
    }

    @Test
    void whatLiesBesideThePageFrameOrUnderAnotherLayerIsNotCut() {
        CellPlane coat = Pages.of(200, (x, y) -> Pages.isIn(x, y, 20, 180) ? 1 : 0);
        CutPlane.OnPage behind = new CutPlane.OnPage(coat, cell -> cell, 0, 0);
        CutPlane.OnPage front = new CutPlane.OnPage(Pages.of(40, (x, y) -> 1), cell -> 2, 20, 20);
        CellPlane plane = CutPlane.of(200, 200, List.of(front, behind), Optional.of(new Box(0, 0, 200, 100)));
        assertThat(plane.numberAt(30, 30)).isEqualTo(2);
        assertThat(plane.numberAt(100, 99)).isEqualTo(1);
        assertThat(plane.numberAt(100, 100)).isZero();
        assertThat(coat(plane, PLAIN).areaMm2()).isCloseTo(16 * 8 - 4 * 4, within(0.3));
    }

    @Test
    void theBladeComesToAPieceFromTheWaste() {
        CellPlane disc = Pages.of(200, (x, y) -> Math.hypot(x - 99.5, y - 99.5) < 60 ? 1 : 0);
        Cut cut = coat(disc, new CutSettings(0, 3, 0, CutSettings.Small.LEFT_OUT, 0, 100))
                .cuts()
                .get(0);
        assertThat(cut.start().distance(new Spot(10, 10))).isGreaterThan(6.1);
        assertThat(cut.start().distance(cut.moves().get(0).to())).isCloseTo(3, within(1e-9));
        CellPlane hole = Pages.of(200, (x, y) -> Math.hypot(x - 99.5, y - 99.5) < 60 ? 0 : 1);
        Cut inner = coat(hole, new CutSettings(0, 3, 0, CutSettings.Small.LEFT_OUT, 0, 100))
                .cuts()
                .get(0);
        assertThat(inner.kind()).isEqualTo(Cut.Kind.HOLE);
        assertThat(inner.start().distance(new Spot(10, 10))).isLessThan(5.9);
    }

    @Test
    void nothingLaidIsNothingToCut() {
        assertThatThrownBy(() -> coat(Pages.of(200, (x, y) -> 0), PLAIN))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no piece of 'Coat'");
        assertThatThrownBy(() -> new CutSettings(Double.NaN, 0, 0, CutSettings.Small.JOINED, 0, 100))
                .isInstanceOf(Refusal.class);
    }
}
