package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import stillpond.core.ink.Picture;

class ResolutionTest {

    /** 300 dots an inch are 11811 a metre. */
    private static final Resolution PRINT = new Resolution(11811, 11811);

    private static byte[] png(Optional<Resolution> resolution) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PngWriter.write(new Picture(2, 1, new int[] {0xff102030, 0x80405060}), resolution, out);
        return out.toByteArray();
    }

    @Test
    void aPngSaysWhatColoursItHasAndHowDenseItIsAndKeepsItsPixels() throws IOException {
        byte[] png = png(Optional.of(PRINT));
        String bytes = new String(png, StandardCharsets.ISO_8859_1);
        // ISO/IEC 15948, 11.3.3.5: length 1, type, rendering intent 0 (perceptual).
        assertThat(bytes).contains("\0\0\0\1sRGB\0");
        assertThat(bytes.indexOf("pHYs")).isLessThan(bytes.indexOf("IDAT"));
        assertThat(Resolution.of(png)).contains(PRINT);
        Picture read = new LineArtReader(ImageLimits.DEFAULT).read(png);
        assertThat(read.argb()).containsExactly(0xff102030, 0x80405060);
    }

    @Test
    void whereNothingIsSaidNothingIsMadeUp() throws IOException {
        byte[] png = png(Optional.empty());
        assertThat(new String(png, StandardCharsets.ISO_8859_1))
                .contains("sRGB")
                .doesNotContain("pHYs");
        assertThat(Resolution.of(png)).isEmpty();
        assertThat(Resolution.of("<svg/>".getBytes(StandardCharsets.UTF_8))).isEmpty();
    }

    @Test
    void aJpegSaysItInJfif() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(8, 8, BufferedImage.TYPE_INT_RGB), "jpeg", out);
        byte[] jpeg = out.toByteArray();
        ByteBuffer jfif = ByteBuffer.wrap(jpeg);
        assertThat(new String(jpeg, 6, 4, StandardCharsets.ISO_8859_1)).isEqualTo("JFIF");
        jfif.put(13, (byte) 1).putShort(14, (short) 300).putShort(16, (short) 300);
        assertThat(Resolution.of(jpeg)).contains(PRINT);
        jfif.put(13, (byte) 2).putShort(14, (short) 100).putShort(16, (short) 50);
        assertThat(Resolution.of(jpeg)).contains(new Resolution(10_000, 5_000));
        jfif.put(13, (byte) 0);
        assertThat(Resolution.of(jpeg)).as("only a ratio").isEmpty();
    }

    @Test
    void aTiffSaysItInItsTags() {
        ByteBuffer tiff = ByteBuffer.allocate(80).order(ByteOrder.LITTLE_ENDIAN);
        tiff.put(new byte[] {'I', 'I', 42, 0}).putInt(8).putShort((short) 3);
        entry(tiff, 282, 5, 50);
        entry(tiff, 283, 5, 58);
        entry(tiff, 296, 3, 2);
        tiff.position(50).putInt(600).putInt(2).putInt(300).putInt(1);
        assertThat(Resolution.of(tiff.array())).contains(PRINT);
    }

    private static void entry(ByteBuffer tiff, int tag, int type, int value) {
        tiff.putShort((short) tag).putShort((short) type).putInt(1).putInt(value);
    }

    @Test
    void whatIsCutOffOrSaysNonsenseSaysNothing() throws IOException {
        byte[] png = png(Optional.of(PRINT));
        for (int length = 0; length < png.length; length++) {
            byte[] cut = Arrays.copyOf(png, length);
            assertThat(Resolution.of(cut).orElse(PRINT)).isEqualTo(PRINT);
        }
        ByteBuffer bent = ByteBuffer.wrap(png.clone());
        int at = new String(png, StandardCharsets.ISO_8859_1).indexOf("pHYs");
        bent.putInt(at + 4, -5);
        assertThat(Resolution.of(bent.array())).isEmpty();
    }
}
