package stillpond.bench.flats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.GapModel;

class FitGapsTest {

    /**
     * The shipped resources keep a fingerprint of what the same code fits to a few generated cases. A change of the drawings, the closures found, the features or the fitting
     * shows in it: then the models must be fitted again.
     */
    @Test
    void theShippedModelsAreWhatTheCommandFits() throws IOException {
        try (InputStream shipped = GapModel.class.getResourceAsStream("strength.trees")) {
            assertThat(new String(shipped.readAllBytes(), StandardCharsets.US_ASCII))
                    .contains("# Check: " + FitGaps.quickCheck() + "\n");
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
