package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A row of cells, with an opening between each and the next; strokes 2 pixels wide. */
class GapsTest {

    private static final int[] AREAS = {1000, 1000, 1000, 1000, 1000};

    @Test
    void whatLiesNearReachIsInDoubtOnBothSidesOfIt() {
        List<Gap> gaps = Gaps.of(row(0.95, 0.55, 0.45, 0.06), AREAS, Dams.at(0.5));
        assertThat(gaps.stream()
                        .filter(Gap::isInDoubt)
                        .map(gap -> gap.openings().get(0)))
                .containsExactlyInAnyOrder(1, 2);
        assertThat(gap(gaps, 0).isShut()).isTrue();
        assertThat(gap(gaps, 2).isShut()).isFalse();
    }

    @Test
    void theLeastSureThatWouldRunFurthestComesFirst() {
        int[] areas = {9000, 90_000, 9000, 60, 90_000};
        List<Gap> gaps = Gaps.of(row(0.95, 0.55, 0.58, 0.52), areas, Dams.at(0.5));
        assertThat(gaps.stream().map(gap -> gap.openings().get(0))).containsExactly(1, 3, 2, 0);
    }

    /** Strokes are 2 wide in these lists: 40 square ones are 160 pixels. */
    @Test
    void nobodyIsAskedAboutSlivers() {
        int[] areas = {9000, 150, 9000, 170, 9000};
        List<Gap> gaps = Gaps.of(row(0.55, 0.95, 0.95, 0.55), areas, Dams.at(0.5));
        assertThat(gap(gaps, 0).doubt()).isEqualTo(gap(gaps, 3).doubt());
        assertThat(gap(gaps, 0).isInDoubt()).isFalse();
        assertThat(gap(gaps, 3).isInDoubt()).isTrue();
    }

    @Test
    void aLongDamIsWorthALookHoweverSureItSeems() {
        OpeningList row = new OpeningList(List.of(opening(0, 1, 0.97, 14), opening(1, 2, 0.97, 4)), 2);
        List<Gap> gaps = Gaps.of(row, new int[] {1000, 1000, 1000}, Dams.at(0.5));
        assertThat(gap(gaps, 0).isInDoubt()).isTrue();
        assertThat(gap(gaps, 1).isInDoubt()).isFalse();
    }

    @Test
    void whatSomebodyHasSaidIsNotInDoubt() {
        Dams dams = Dams.at(0.5).shutting(Set.of(1)).opening(Set.of(2));
        List<Gap> gaps = Gaps.of(row(0.95, 0.45, 0.55, 0.95), AREAS, dams);
        assertThat(gaps).noneMatch(Gap::isInDoubt);
        assertThat(gap(gaps, 1).isSaid() && gap(gaps, 1).isShut()).isTrue();
    }

    @Test
    void openingsBetweenTheSamePiecesAreOneGapOfSeveralPlaces() {
        List<Opening> all = new ArrayList<>(row(0.9).all());
        all.add(new Opening(0, 1, Opening.Kind.ENDS, line(50), 3, 1.5, 0.9));
        all.add(new Opening(0, 1, Opening.Kind.ENDS, line(50.5), 4, 2, 0.9));
        List<Gap> gaps = Gaps.of(new OpeningList(all, 2), new int[] {900, 900}, Dams.at(0.5));
        assertThat(gaps).hasSize(1);
        assertThat(gaps.get(0).openings()).containsExactly(1, 0, 2);
        assertThat(gaps.get(0).places()).isEqualTo(2);
        assertThat(gaps.get(0).effectPx()).isEqualTo(900);
    }

    @Test
    void piecesTooSmallToShowAreLeftOutUnlessSomebodySaidSo() {
        int[] areas = {1000, 20, 1000};
        OpeningList row = row(0.6, 0.6);
        assertThat(Gaps.of(row, areas, Dams.at(0.5))).isEmpty();
        assertThat(Gaps.of(row, areas, Dams.at(0.5).shutting(Set.of(1)))).hasSize(1);
    }

    private static Gap gap(List<Gap> gaps, int opening) {
        return gaps.stream()
                .filter(gap -> gap.openings().contains(opening))
                .findFirst()
                .orElseThrow();
    }

    private static OpeningList row(double... strengths) {
        List<Opening> openings = new ArrayList<>();
        for (int i = 0; i < strengths.length; i++) {
            openings.add(opening(i, i + 1, strengths[i], 4));
        }
        return new OpeningList(openings, 2);
    }

    private static Opening opening(int first, int second, double strength, double widthPx) {
        return new Opening(first, second, Opening.Kind.ENDS, line(first * 10), widthPx, widthPx / 2, strength);
    }

    private static List<Point> line(double x) {
        return List.of(new Point(x, 0), new Point(x, 4));
    }
}
