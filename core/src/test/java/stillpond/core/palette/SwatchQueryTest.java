package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;

class SwatchQueryTest {

    private static boolean finds(String typed) {
        return new SwatchQuery(typed).finds("Coat lining", "Juniper", Srgb.ofHex("#1f4f46"));
    }

    @Test
    void beginningsOfWordsOfNameAndCardFindASwatchInAnyOrder() {
        assertThat(finds("lin")).isTrue();
        assertThat(finds(" JUN co ")).isTrue();
        assertThat(finds("ning")).isFalse();
        assertThat(finds("coat bram")).isFalse();
        assertThat(finds("")).isTrue();
    }

    @Test
    void theBeginningOfAHexCodeFindsIt() {
        assertThat(finds("#1f")).isTrue();
        assertThat(finds("1F4F")).isTrue();
        assertThat(finds("#")).isTrue();
        assertThat(finds("#2f")).isFalse();
    }

    @Test
    void aWholeHexCodeFindsWhatCanHardlyBeToldFromIt() {
        assertThat(finds("#1f4f46")).isTrue();
        assertThat(finds("1f5047")).isTrue();
        assertThat(finds("#1f6f46")).isFalse();
    }
}
