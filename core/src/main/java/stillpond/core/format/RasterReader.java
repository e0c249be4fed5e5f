package stillpond.core.format;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import stillpond.core.ink.Picture;

/** Reads pictures made of pixels, through the image readers that are installed; of several pictures in a file the first. */
final class RasterReader {

    static {
        // Readers are found through the thread's class loader, which need not be the one that this class came with.
        Thread thread = Thread.currentThread();
        ClassLoader before = thread.getContextClassLoader();
        thread.setContextClassLoader(RasterReader.class.getClassLoader());
        ImageIO.scanForPlugins();
        thread.setContextClassLoader(before);
    }

    private final ImageLimits limits;

    RasterReader(ImageLimits limits) {
        this.limits = limits;
    }

    PictureFile open(byte[] file, RasterFormat format) {
        return reading(file, format, reader -> {
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            limits.requireSize(width, height);
            limits.requireContent(width, height, file.length);
            requireStill(reader, format);
            return new PictureFile(width, height, List.of(), () -> decode(file, format));
        });
    }

    private static Picture decode(byte[] file, RasterFormat format) {
        return reading(file, format, reader -> {
            Picture picture = pictureOf(reader.read(0));
            return format == RasterFormat.JPEG ? ExifOrientation.of(file).turn(picture) : picture;
        });
    }

    /** Something that is read from a file. */
    private interface Use<T> {
        T of(ImageReader reader) throws IOException;
    }

    private static <T> T reading(byte[] file, RasterFormat format, Use<T> use) {
        ImageReader reader = readerOf(format);
        try (ImageInputStream stream = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
            // Without metadata: compressed text is a way to hide a bomb.
            reader.setInput(stream, false, true);
            return use.of(reader);
        } catch (UnreadableFile e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            requireMemory(e);
            throw new UnreadableFile(
                    "The " + format + " is damaged or cut off, so nothing of it was taken. Export or copy it again.",
                    e);
        } finally {
            reader.dispose();
        }
    }

    /** Some readers take a lack of memory for a fault of the file. */
    private static void requireMemory(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof OutOfMemoryError lack) {
                throw lack;
            }
        }
    }

    /** The reader of the wanted format that decodes the most kinds of it stands first. */
    private static ImageReader readerOf(RasterFormat format) {
        Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName(format.name());
        ImageReader first = readers.next();
        while (readers.hasNext() && !first.getClass().getName().startsWith("com.twelvemonkeys")) {
            first = readers.next();
        }
        return first;
    }

    private static void requireStill(ImageReader reader, RasterFormat format) throws IOException {
        if (format == RasterFormat.WEBP && reader.getNumImages(true) > 1) {
            throw new UnreadableFile(
                    "The WebP moves: it holds several pictures. Bring the one you want as a still picture.");
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
