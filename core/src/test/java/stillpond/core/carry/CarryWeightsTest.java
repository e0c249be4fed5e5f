package stillpond.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class CarryWeightsTest {

    @Test
    void whatIsWrittenIsReadAgain() throws IOException {
        CarryWeights weights = new CarryWeights(1, 2, 3, 4, 5, 6, 7, 8, 9, -10, 0.5);
        Properties read = new Properties();
        read.load(new StringReader(weights.text()));
        Map<String, Double> named = read.stringPropertyNames().stream()
                .collect(Collectors.toMap(name -> name, name -> Double.valueOf(read.getProperty(name))));
        assertThat(CarryWeights.of(named)).isEqualTo(weights);
    }

    @Test
    void thoseThatShipSpeakForLikesThatTouchAndAgainstThoseFarAway() {
        CarryWeights shipped = CarryWeights.shipped();
        assertThat(shipped.touch()).isGreaterThan(shipped.unknown()).isGreaterThan(shipped.apart());
        assertThat(shipped.overlap()).isPositive();
        assertThat(shipped.away()).isPositive();
    }
}
