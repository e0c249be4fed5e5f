package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;

class NearTwinsTest {

    @Test
    void pairsAreFoundNearestFirst() {
        List<Srgb> colours = List.of(
                Srgb.ofHex("#2f6f5e"),
                Srgb.ofHex("#d2603f"),
                Srgb.ofHex("#316f5f"),
                Srgb.ofHex("#d0613f"),
                Srgb.ofHex("#2f6f5e"));
        List<NearTwins.Pair> pairs = NearTwins.among(colours, 2.3);
        assertThat(pairs.get(0)).isEqualTo(new NearTwins.Pair(0, 4, 0));
        assertThat(pairs).extracting(NearTwins.Pair::first).contains(1).doesNotContain(3);
        assertThat(pairs).hasSize(4);
    }

    @Test
    void coloursOfOneNameAreTwinsThoughTheyAreEasierToTellApart() {
        List<NearTwins.Named> named = List.of(
                new NearTwins.Named("Rose", Srgb.ofHex("#d98fa3")),
                new NearTwins.Named("rose", Srgb.ofHex("#e39aae")),
                new NearTwins.Named("Sand", Srgb.ofHex("#df9fae")),
                new NearTwins.Named("Rose", Srgb.ofHex("#3f6f5e")));
        assertThat(NearTwins.amongNamed(named, 1))
                .extracting(pair -> pair.first() + "/" + pair.second())
                .containsExactly("0/1");
    }

    /** Leaving out what is far apart in lightness must lose no pair. */
    @Test
    void noPairIsMissed() {
        Random random = new Random(3);
        List<Srgb> colours =
                random.ints(260, 0, 1 << 24).mapToObj(Srgb::ofPacked).toList();
        double threshold = 6;
        List<String> expected = new ArrayList<>();
        for (int i = 0; i < colours.size(); i++) {
            for (int j = i + 1; j < colours.size(); j++) {
                if (Ciede2000.between(colours.get(i), colours.get(j)) < threshold) {
                    expected.add(i + "/" + j);
                }
            }
        }
        assertThat(expected).isNotEmpty();
        assertThat(NearTwins.among(colours, threshold))
                .extracting(pair -> pair.first() + "/" + pair.second())
                .containsExactlyInAnyOrderElementsOf(expected);
    }
}
