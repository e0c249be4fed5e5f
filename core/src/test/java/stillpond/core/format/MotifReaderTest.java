package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import stillpond.core.render.Motif;

class MotifReaderTest {

    private static Motif read(String shapes) {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 8 8'>" + shapes + "</svg>";
        return MotifReader.read(svg.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void everyMotifOfOursCanBeReadAndHasColours() {
        OwnMotifs own = new OwnMotifs();
        assertThat(OwnMotifs.NAMES)
                .allSatisfy(
                        name -> assertThat(own.find(name).orElseThrow().inks()).isBetween(2, 4));
        assertThat(own.find("nothing")).isEmpty();
    }

    @Test
    void theLargestColourComesFirstAndClearPaperIsWhite() {
        Motif motif = read("<rect width='8' height='3' fill='#c03020'/>");
        assertThat(motif.inks()).isEqualTo(2);
        assertThat(motif.shares()[10 * Motif.SIDE + 10]).isEqualTo(0xff0000);
        assertThat(motif.shares()[200 * Motif.SIDE + 10]).isZero();
    }

    @Test
    void whatCannotBeAPatternIsRefused() {
        assertThatThrownBy(() -> MotifReader.read(
                        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 8 4'/>".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("square");
        assertThatThrownBy(
                        () -> read(
                                "<rect width='8' height='1' fill='#111'/><rect y='1' width='8' height='1' fill='#222'/>"
                                        + "<rect y='2' width='8' height='1' fill='#333'/><rect y='3' width='8' height='1' fill='#444'/>"))
                .hasMessageContaining("5 colours");
    }
}
