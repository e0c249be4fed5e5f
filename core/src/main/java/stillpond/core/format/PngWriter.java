package stillpond.core.format;

import java.awt.Point;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.DataBufferInt;
import java.awt.image.DirectColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.io.OutputStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import stillpond.core.ink.Picture;

/** Writes a picture as PNG (ISO/IEC 15948), 8 bits a channel with alpha, every pixel exactly as it is. */
public final class PngWriter {

    private PngWriter() {}

    /** Leaves the stream open. */
    public static void write(Picture picture, OutputStream out) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.write(imageOf(picture));
        } finally {
            writer.dispose();
        }
    }

    /** Wraps the pixels without copying them. */
    private static BufferedImage imageOf(Picture picture) {
        ColorModel model = new DirectColorModel(32, 0xff0000, 0xff00, 0xff, 0xff000000);
        int[] masks = {0xff0000, 0xff00, 0xff, 0xff000000};
        DataBufferInt pixels = new DataBufferInt(picture.argb(), picture.argb().length);
        WritableRaster raster = Raster.createPackedRaster(
                pixels, picture.widthPx(), picture.heightPx(), picture.widthPx(), masks, new Point());
        return new BufferedImage(model, raster, false, null);
    }
}
