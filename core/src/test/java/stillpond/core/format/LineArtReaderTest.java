package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.core.ink.Picture;

class LineArtReaderTest {

    private static final String SVG_START = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 60 40'>";

    private final LineArtReader reader = new LineArtReader(new ImageLimits(1 << 20, 4_000_000, 8000, 600));

    @ParameterizedTest
    @ValueSource(
            ints = {
                BufferedImage.TYPE_BYTE_GRAY,
                BufferedImage.TYPE_USHORT_GRAY,
                BufferedImage.TYPE_BYTE_BINARY,
                BufferedImage.TYPE_BYTE_INDEXED,
                BufferedImage.TYPE_3BYTE_BGR,
                BufferedImage.TYPE_4BYTE_ABGR
            })
    void pngOfEveryKindKeepsBlackAndWhite(int type) {
        BufferedImage image = new BufferedImage(3, 2, type);
        image.setRGB(1, 1, 0xffffffff);
        image.setRGB(0, 0, 0xff000000);
        Picture picture = reader.read(png(image));
        assertThat(picture.argbAt(1, 1)).isEqualTo(0xffffffff);
        assertThat(picture.argbAt(0, 0)).isEqualTo(0xff000000);
    }

    /** Real files of each kind: a black square near the upper left corner of a white page of 60 x 40. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "rgb.jpg",
                "grey.jpg",
                "cmyk.jpg",
                "turned.jpg",
                "deep.png",
                "palette.png",
                "deep.tif",
                "fax.tif",
                "still.webp"
            })
    void filesOfEveryKindAreReadTheRightWayUp(String name) throws IOException {
        Picture picture = reader.read(file(name));
        assertThat(picture.widthPx()).isEqualTo(60);
        assertThat(picture.heightPx()).isEqualTo(40);
        assertThat(picture.argbAt(11, 11) & 0xff).isLessThan(80);
        assertThat(picture.argbAt(45, 30) & 0xff).isGreaterThan(240);
        assertThat(picture.argbAt(11, 30) & 0xff).isGreaterThan(240);
        assertThat(picture.argbAt(45, 11) & 0xff).isGreaterThan(240);
    }

    @Test
    void aFewBytesThatClaimToBeAVeryLargePictureAreRefused() {
        ImageLimits limits = ImageLimits.DEFAULT;

        assertThatThrownBy(() -> limits.requireContent(17_000, 17_000, 8_000))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("17000 x 17000")
                .hasMessageContaining("nothing drawn");
        assertThatCode(() -> limits.requireContent(17_000, 17_000, 1 << 20)).doesNotThrowAnyException();
        assertThatCode(() -> limits.requireContent(5_000, 5_000, 100)).doesNotThrowAnyException();
    }

    @Test
    void aPictureThatMovesIsRefused() throws IOException {
        assertRefused(file("moving.webp"), "moves");
    }

    @ParameterizedTest
    @ValueSource(strings = {"rgb.jpg", "deep.tif", "still.webp"})
    void cutOffFilesOfOtherKindsAreRefused(String name) throws IOException {
        byte[] whole = file(name);
        assertRefused(Arrays.copyOf(whole, whole.length / 3), "damaged or cut off");
    }

    @Test
    void aStripOfOnePixelIsAPictureToo() {
        Picture strip = reader.read(png(new BufferedImage(1, 7999, BufferedImage.TYPE_BYTE_GRAY)));
        assertThat(strip.heightPx()).isEqualTo(7999);
    }

    @Test
    void greyIsTakenAsItIsStored() {
        BufferedImage image = new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY);
        image.getRaster().setSample(0, 0, 0, 100);
        assertThat(reader.read(png(image)).argbAt(0, 0)).isEqualTo(0xff646464);
    }

    @Test
    void svgIsDrawnAtTheChosenSizeOnTransparentPaper() {
        Picture picture = reader.read(svg(SVG_START + "<rect x='10' y='10' width='20' height='20'/></svg>"));
        assertThat(picture.widthPx()).isEqualTo(600);
        assertThat(picture.heightPx()).isEqualTo(400);
        assertThat(picture.argbAt(5, 5)).isZero();
        assertThat(picture.argbAt(200, 200)).isEqualTo(0xff000000);
    }

    @Test
    void aPlainDoctypeIsHarmless() {
        String doctype = "<?xml version='1.0'?><!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'svg11.dtd'>";
        Picture picture = reader.read(svg(doctype + SVG_START + "<rect width='60' height='40'/></svg>"));
        assertThat(picture.argbAt(300, 200)).isEqualTo(0xff000000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<image href='data:image/png;base64,AAAA'/> | holds a picture",
                "<use href='other.svg#a'/> | outside itself",
                "<use xmlns:xlink='http://www.w3.org/1999/xlink' xlink:href='http://127.0.0.1/a.svg#a'/> | outside itself",
                "<rect style='fill: url( \"http://127.0.0.1/a\")'/> | outside itself",
                "<style>@import 'a.css';</style> | outside itself",
                "<script>alert(1)</script> | script",
                "<rect onclick='alert(1)'/> | script",
                "<g id='a'><use href='#a'/></g> | without end",
                "<g> | not well-formed",
            })
    void svgThatDoesMoreThanDrawIsRefused(String body, String reason) {
        assertRefused(svg(SVG_START + body.strip() + "</svg>"), reason.strip());
    }

    @Test
    void entityBombsAreRefused() {
        String bomb = "<!DOCTYPE svg [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;&a;&a;&a;'>]>";
        assertRefused(svg(bomb + SVG_START + "<text>&b;</text></svg>"), "entities");
    }

    @Test
    void entitiesThatStandForATextAreReadAndForeignDocumentsAreSkippedAndNamed() {
        String abbreviated = """
                <!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd" [
                  <!ENTITY ns_svg "http://www.w3.org/2000/svg">
                  <!ENTITY ink "#000000">
                ]>
                <svg xmlns="&ns_svg;" viewBox="0 0 60 40"><switch>
                  <foreignObject requiredExtensions="http://example.org/"><script>alert(1)</script></foreignObject>
                  <g><rect width="60" height="40" fill="&ink;"/></g>
                </switch></svg>""";
        PictureFile file = reader.open(svg(abbreviated));
        assertThat(file.leftOut()).containsExactly("a foreign document inside it");
        Picture picture = file.decode();
        assertThat(picture.argbAt(picture.widthPx() / 2, picture.heightPx() / 2))
                .isEqualTo(0xff000000);
        assertThat(reader.open(svg(SVG_START + "<rect width='9' height='9'/></svg>"))
                        .leftOut())
                .isEmpty();
    }

    @Test
    void whatShowsOthersInAnEndlessChainIsRefused() {
        StringBuilder body = new StringBuilder("<rect id='u0' width='1' height='1'/>");
        for (int i = 1; i < 10_000; i++) {
            body.append("<use id='u")
                    .append(i)
                    .append("' href='#u")
                    .append(i - 1)
                    .append("'/>");
        }
        String backwards =
                new StringBuilder().append("<use href='#u9999'/>").append(body).toString();
        assertRefused(svg(SVG_START + backwards + "</svg>"), "repeats itself");
    }

    @Test
    void anEntityFromAFileIsRefused() {
        String leak = "<!DOCTYPE svg [<!ENTITY a SYSTEM 'file:///etc/hostname'>]>";
        assertRefused(svg(leak + SVG_START + "<text>&a;</text></svg>"), "outside itself");
    }

    @Test
    void usesThatMultiplyAreRefused() {
        StringBuilder body = new StringBuilder("<g id='l0'><rect width='1' height='1'/></g>");
        for (int level = 1; level < 12; level++) {
            body.append("<g id='l").append(level).append("'>");
            body.append(("<use href='#l" + (level - 1) + "'/>").repeat(10)).append("</g>");
        }
        assertRefused(svg(SVG_START + body + "</svg>"), "repeats itself");
    }

    /** A page of hatching has thousands of paths, and drawing programs nest groups by the dozen. */
    @Test
    void svgOfManyPathsAndDeepGroupsIsDrawn() {
        String paths = "<path d='M0 10 H60 V30 H0 Z'/>".repeat(5000);
        Picture picture = reader.read(svg(SVG_START + "<g>".repeat(60) + paths + "</g>".repeat(60) + "</svg>"));
        assertThat(picture.argbAt(picture.widthPx() / 2, picture.heightPx() / 2))
                .isEqualTo(0xff000000);
    }

    @Test
    void svgNestedWithoutEndIsRefused() {
        assertRefused(svg(SVG_START + "<g>".repeat(20_000) + "</g>".repeat(20_000) + "</svg>"), "nests groups");
    }

    @Test
    void svgWithoutASizeOrNotSvgAtAllIsRefused() {
        assertRefused(svg("<svg xmlns='http://www.w3.org/2000/svg' width='0' height='0'/>"), "how large");
        assertRefused(svg("<html><body>404</body></html>"), "not an SVG");
    }

    @Test
    void cutOffPngIsRefused() {
        byte[] whole = png(noise(200));
        assertRefused(Arrays.copyOf(whole, whole.length / 2), "damaged or cut off");
        assertRefused(Arrays.copyOf(whole, 20), "damaged or cut off");
    }

    @Test
    void aPngThatDeclaresTooMuchIsRefusedBeforeItIsDecoded() {
        byte[] file = png(new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY));
        declareSize(file, 60_000, 60_000);
        assertRefused(file, "60000 x 60000");
    }

    @Test
    void otherFilesAreRefused() {
        assertRefused(new byte[0], "empty");
        assertRefused("PK\u0003\u0004 not a picture".getBytes(StandardCharsets.UTF_8), "not a picture");
        assertRefused(new byte[(1 << 20) + 1], "1 MB");
    }

    private void assertRefused(byte[] file, String reason) {
        assertThatThrownBy(() -> reader.read(file))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining(reason);
    }

    private static byte[] file(String name) throws IOException {
        try (InputStream in = LineArtReaderTest.class.getResourceAsStream("/lineart/" + name)) {
            return in.readAllBytes();
        }
    }

    private static byte[] svg(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static BufferedImage noise(int side) {
        BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(3);
        for (int i = 0; i < side * side; i++) {
            image.setRGB(i % side, i / side, random.nextInt());
        }
        return image;
    }

    private static byte[] png(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** Rewrites width and height of the header chunk, and its checksum. */
    private static void declareSize(byte[] png, int width, int height) {
        ByteBuffer buffer = ByteBuffer.wrap(png);
        buffer.putInt(16, width).putInt(20, height);
        CRC32 crc = new CRC32();
        crc.update(png, 12, 17);
        buffer.putInt(29, (int) crc.getValue());
    }
}
