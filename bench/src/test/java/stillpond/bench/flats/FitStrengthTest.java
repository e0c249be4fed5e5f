package stillpond.bench.flats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import stillpond.core.gap.StrengthModel;

class FitStrengthTest {

    /**
     * The shipped resource keeps, beside its weights, what the same command fits to its first few cases. A change of the drawings, the closures found, the
     * features or the fitting shows in those: then the model must be fitted again.
     */
    @Test
    void theShippedWeightsAreWhatTheCommandFits() {
        double[] now = FitStrength.fit(FitStrength.CHECKED_CASES, FitStrength.ROUNDS);
        double[] then = FitStrength.storedCheck();
        assertThat(now).hasSameSizeAs(StrengthModel.featureNames().toArray());
        for (int i = 0; i < now.length; i++) {
            assertThat(now[i]).as(StrengthModel.featureNames().get(i)).isCloseTo(then[i], within(0.05));
        }
    }

    /** A case is the same wherever it is made, and its truth fits its ink. */
    @Test
    void generatedTruthKeepsToItsInk() {
        Case drawn = CaseMaker.fitting(3);
        assertThat(CaseMaker.fitting(3).truth()).isEqualTo(drawn.truth());
        assertThat(drawn.regions()).isNotEmpty().allSatisfy(region -> {
            assertThat(drawn.truth()[region.y() * drawn.width() + region.x()]).isEqualTo(region.id());
            assertThat(region.support()).isBetween(0.4, 1.0);
        });
    }
}
