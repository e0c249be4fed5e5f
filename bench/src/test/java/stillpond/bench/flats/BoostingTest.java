package stillpond.bench.flats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.BoostedTrees;
import stillpond.core.gap.GapSamples.Sample;

class BoostingTest {

    private static final Boosting.Settings SETTINGS = new Boosting.Settings(40, 2, 0.3, 1, 1, 1);

    /** Yes where just one of two numbers is large: no single question, and no sum of single ones, tells. The third number is noise. */
    @Test
    void treesLearnWhatNoSingleNumberTells() {
        BoostedTrees trees = Boosting.fit(samples(1, 600), SETTINGS);
        long right = samples(2, 300).stream()
                .filter(sample -> trees.probability(sample.features()) > 0.5 == sample.yes())
                .count();
        assertThat(right).isGreaterThan(270);
    }

    @Test
    void theSameSamplesGiveTheSameTrees() {
        assertThat(Boosting.fit(samples(3, 200), SETTINGS).asText())
                .isEqualTo(Boosting.fit(samples(3, 200), SETTINGS).asText());
    }

    private static List<Sample> samples(int seed, int count) {
        Random random = new Random(seed);
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double[] numbers = {random.nextDouble(), random.nextDouble(), random.nextDouble()};
            samples.add(new Sample(numbers, numbers[0] > 0.5 != numbers[1] > 0.5, 1));
        }
        return samples;
    }
}
