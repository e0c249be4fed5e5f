package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class BoostedTreesTest {

    private static final String TEXT = """
            # A remark.
            0:0.5 1:2.0 | -1.0000 0.2500 0.5000 2.0000
            1:-1.0 | 0.0000 1.0000
            """;

    @Test
    void answersOfAllTreesAreSummedToALogit() {
        BoostedTrees trees = BoostedTrees.of(TEXT);
        assertThat(trees.logit(new double[] {0, 0})).isCloseTo(-1 + 1, within(1e-9));
        assertThat(trees.logit(new double[] {1, 0})).isCloseTo(0.25 + 1, within(1e-9));
        assertThat(trees.logit(new double[] {0, 3})).isCloseTo(0.5 + 1, within(1e-9));
        assertThat(trees.logit(new double[] {1, 3})).isCloseTo(2 + 1, within(1e-9));
        assertThat(trees.logit(new double[] {0.5, -1})).as("not larger is no").isCloseTo(-1, within(1e-9));
        assertThat(trees.probability(new double[] {0, 0})).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void whatIsWrittenIsRead() {
        assertThat("# A remark.\n" + BoostedTrees.of(TEXT).asText()).isEqualTo(TEXT);
    }

    @Test
    void aTreeWithTooFewAnswersIsRefused() {
        assertThatThrownBy(() -> BoostedTrees.of("0:0.5 1:2.0 | 1 2 3")).hasMessageContaining("4 answers");
    }

    @Test
    void theShippedModelsAskOnlyForWhatIsMeasured() {
        double[] strength = new double[StrengthModel.featureNames().size()];
        assertThat(StrengthModel.shipped().strength(strength)).isBetween(0.0, 1.0);
        RegionModel region = RegionModel.shipped();
        assertThat(region.alone().probability(new double[RegionFeatures.NAMES.size()]))
                .isBetween(0.0, 1.0);
        assertThat(region.amidOthers().probability(new double[RegionModel.NAMES.size()]))
                .isBetween(0.0, 1.0);
    }
}
