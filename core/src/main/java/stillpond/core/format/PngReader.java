package stillpond.core.format;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import stillpond.core.ink.Picture;

/** Reads a PNG through the JDK's reader. */
final class PngReader {

    private final ImageLimits limits;

    PngReader(ImageLimits limits) {
        this.limits = limits;
    }

    Picture read(byte[] file) {
        ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
        try (ImageInputStream stream = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
            // Without its metadata: compressed text chunks are a way to hide a bomb.
            reader.setInput(stream, true, true);
            limits.requireSize(reader.getWidth(0), reader.getHeight(0));
            return pictureOf(reader.read(0));
        } catch (IOException | RuntimeException e) {
            if (e instanceof UnreadableFile unreadable) {
                throw unreadable;
            }
            throw new UnreadableFile(
                    "The PNG is damaged or cut off, so nothing of it was taken. Export or copy it again.", e);
        } finally {
            reader.dispose();
        }
    }

    private static Picture pictureOf(BufferedImage image) {
        int width = image.getWidth();
        int height = image.getHeight();
        int[] argb = new int[width * height];
        boolean grey = isDirectGrey(image.getColorModel());
        IntStream.range(0, height).parallel().forEach(y -> {
            if (grey) {
                copyGreyRow(image, y, argb);
            } else {
                image.getRGB(0, y, width, 1, argb, y * width, width);
            }
        });
        return new Picture(width, height, argb);
    }

    /** The JDK takes the grey of a picture for linear light and brightens it; grey samples are therefore read as they are. */
    private static boolean isDirectGrey(ColorModel model) {
        return model.getColorSpace().getType() == ColorSpace.TYPE_GRAY;
    }

    private static void copyGreyRow(BufferedImage image, int y, int[] argb) {
        int width = image.getWidth();
        Raster raster = image.getRaster();
        int downTo8Bits = Math.max(0, image.getColorModel().getComponentSize(0) - 8);
        int[] grey = raster.getSamples(0, y, width, 1, 0, (int[]) null);
        int[] alpha = raster.getNumBands() > 1 ? raster.getSamples(0, y, width, 1, 1, (int[]) null) : null;
        for (int x = 0; x < width; x++) {
            int opacity = alpha == null ? 255 : alpha[x] >> downTo8Bits;
            argb[y * width + x] = opacity << 24 | (grey[x] >> downTo8Bits) * 0x010101;
        }
    }
}
