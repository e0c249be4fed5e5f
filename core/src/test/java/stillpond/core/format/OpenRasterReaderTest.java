package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OpenRasterReaderTest {

    private final LineArtReader reader = new LineArtReader(ImageLimits.DEFAULT);

    @Test
    void layersComeFromFrontToBackWithWhatTheirGroupsGiveThem() {
        byte[] file = file("""
                <image w="40" h="30"><stack>
                  <layer name="Front" src="data/a.png" x="5" y="-3"/>
                  <stack opacity="0.5">
                    <layer name="Inner" src="data/b.png" opacity="0.5"/>
                    <layer src="data/a.png" visibility="hidden"/>
                  </stack>
                </stack></image>""", Map.of("data/a.png", png(10, 8), "data/b.png", png(40, 30)));
        PictureFile opened = reader.open(file);
        assertThat(opened.widthPx()).isEqualTo(40);
        assertThat(opened.heightPx()).isEqualTo(30);
        List<FileLayer> layers = opened.layers();
        assertThat(layers)
                .extracting(
                        FileLayer::name, FileLayer::xPx, FileLayer::yPx, FileLayer::opacityPercent, FileLayer::isHidden)
                .containsExactly(
                        tuple("Front", 5, -3, 100, false),
                        tuple("Inner", 0, 0, 25, false),
                        tuple("Layer 3", 0, 0, 50, true));
        assertThat(reader.read(layers.get(0).file()).widthPx()).isEqualTo(10);
    }

    @Test
    void asOnePictureItIsTheMergedOneThatItHolds() {
        byte[] file = file(
                "<image w=\"4\" h=\"3\"><stack><layer name=\"A\" src=\"data/a.png\"/></stack></image>",
                Map.of("mergedimage.png", png(4, 3)));
        assertThat(reader.read(file).heightPx()).isEqualTo(3);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<image w=\"4\" h=\"3\"><stack><layer name=\"A\"",
                "<image w=\"4\"><stack/></image>",
                "<image w=\"4\" h=\"many\"><stack/></image>",
                "<nothing/>",
                "<!DOCTYPE image [<!ENTITY a SYSTEM \"file:///etc/passwd\">]><image w=\"4\" h=\"3\"><stack/></image>"
            })
    void aBrokenListIsRefusedWithAReason(String list) {
        assertThatThrownBy(() -> reader.open(file(list, Map.of())).layers())
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("OpenRaster");
    }

    @ParameterizedTest
    @ValueSource(strings = {"../../etc/passwd", "/etc/passwd", "data\\..\\a.png"})
    void aPathThatClimbsOutIsRefused(String path) {
        byte[] file = file(
                "<image w=\"4\" h=\"3\"><stack><layer name=\"A\" src=\"" + path + "\"/></stack></image>", Map.of());
        assertThatThrownBy(() -> reader.open(file))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("outside of the file");
    }

    @Test
    void aLayerWithoutItsPictureIsNamed() {
        byte[] file = file(
                "<image w=\"4\" h=\"3\"><stack><layer name=\"Coat\" src=\"data/a.png\"/></stack></image>", Map.of());
        assertThatThrownBy(() -> reader.open(file).layers())
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("'Coat'");
    }

    @Test
    void sixtyLayersAreRefused() {
        String layers = "<layer name=\"A\" src=\"data/a.png\"/>".repeat(60);
        byte[] file =
                file("<image w=\"4\" h=\"3\"><stack>" + layers + "</stack></image>", Map.of("data/a.png", png(4, 3)));
        assertThatThrownBy(() -> reader.open(file).layers())
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("60 layers");
    }

    @Test
    void aPageAndAnUnpackedSizeBeyondTheLimitsAreRefused() {
        byte[] huge = file("<image w=\"60000\" h=\"60000\"><stack/></image>", Map.of());
        assertThatThrownBy(() -> reader.open(huge))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("60000");
        byte[] swelling = file(
                "<image w=\"4\" h=\"3\"><stack><layer src=\"data/a.png\"/></stack></image>",
                Map.of("data/a.png", new byte[3 << 20]));
        LineArtReader strict = new LineArtReader(new ImageLimits(2 << 20, 1_000_000, 4000, 3000));
        assertThat(swelling.length).isLessThan(1 << 20);
        assertThatThrownBy(() -> strict.open(swelling).layers())
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("unpacks to more than 2 MB");
    }

    @Test
    void oneThatIsCutOffIsRefused() {
        byte[] whole = file(
                "<image w=\"4\" h=\"3\"><stack><layer src=\"data/a.png\"/></stack></image>",
                Map.of("data/a.png", png(4, 3)));
        byte[] half = java.util.Arrays.copyOf(whole, whole.length / 2);
        assertThatThrownBy(() -> reader.open(half).layers()).isInstanceOf(UnreadableFile.class);
    }

    private static byte[] file(String list, Map<String, byte[]> others) {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        entries.put("stack.xml", list.getBytes(StandardCharsets.UTF_8));
        entries.putAll(others);
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(file)) {
            byte[] type = "image/openraster".getBytes(StandardCharsets.US_ASCII);
            ZipEntry first = new ZipEntry("mimetype");
            first.setMethod(ZipEntry.STORED);
            first.setSize(type.length);
            CRC32 sum = new CRC32();
            sum.update(type);
            first.setCrc(sum.getValue());
            zip.putNextEntry(first);
            zip.write(type);
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file.toByteArray();
    }

    private static byte[] png(int width, int height) {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB), "png", file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file.toByteArray();
    }
}
