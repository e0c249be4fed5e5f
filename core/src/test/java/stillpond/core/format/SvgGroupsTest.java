package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.ink.Picture;

class SvgGroupsTest {

    private static final int RED = 0xffff0000;
    private static final int BLUE = 0xff0000ff;

    private final LineArtReader reader = new LineArtReader(ImageLimits.DEFAULT.withVectorLongSide(20));

    @Test
    void groupsComeFromFrontToBackEachAloneWithWhatTheyShare() {
        List<FileLayer> layers = layers("""
                <defs><linearGradient id="g"><stop stop-color="#f00"/></linearGradient></defs>
                <g id="back"><rect width="20" height="10" fill="#00f"/></g>
                <g><title>Front</title><rect width="10" height="10" fill="url(#g)"/></g>""");
        assertThat(layers).extracting(FileLayer::name).containsExactly("Front", "back");
        assertThat(pixels(layers.get(0))).containsExactly(RED, 0);
        assertThat(pixels(layers.get(1))).containsExactly(BLUE, BLUE);
    }

    @Test
    void theGroupsInAnOnlyGroupAreMeantAndKeepWhatItGivesThem() {
        List<FileLayer> layers = layers("""
                <g fill="#00f"><g id="a"><rect width="10" height="10"/></g>
                <g id="b" style="display: none; fill: #f00"><rect x="10" width="10" height="10"/></g></g>""");
        assertThat(layers).extracting(FileLayer::name).containsExactly("b", "a");
        assertThat(layers).extracting(FileLayer::isHidden).containsExactly(true, false);
        assertThat(pixels(layers.get(0))).containsExactly(0, RED);
        assertThat(pixels(layers.get(1))).containsExactly(BLUE, 0);
    }

    @Test
    void whatIsDrawnBesideGroupsGoesToTheOneThatFollows() {
        List<FileLayer> layers = layers("""
                <rect width="10" height="10" fill="#f00"/><g id="a"><rect x="10" width="10" height="10" fill="#00f"/></g>
                <g id="b"/>""");
        assertThat(layers).extracting(FileLayer::name).containsExactly("b", "a");
        assertThat(pixels(layers.get(1))).containsExactly(RED, BLUE);
    }

    @Test
    void aDrawingOfOneGroupHasNoLayers() {
        assertThat(layers("<g><rect width=\"3\" height=\"3\"/></g>")).isEmpty();
        assertThat(layers("<rect width=\"3\" height=\"3\"/><rect width=\"3\" height=\"3\"/>"))
                .isEmpty();
    }

    @Test
    void sixtyGroupsAreRefused() {
        assertThatThrownBy(() -> layers("<g><rect width=\"3\" height=\"3\"/></g>".repeat(60)))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("60 layers");
    }

    private List<FileLayer> layers(String body) {
        String svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 20 10\">" + body + "</svg>";
        return reader.open(svg.getBytes(StandardCharsets.UTF_8)).layers();
    }

    /** In the middle of the left and of the right half. */
    private List<Integer> pixels(FileLayer layer) {
        Picture picture = reader.read(layer.file());
        return List.of(picture.argbAt(5, 5), picture.argbAt(15, 5));
    }
}
