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
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import stillpond.core.ink.Picture;

/** Writes a picture as PNG (ISO/IEC 15948), 8 bits a channel with alpha, every pixel exactly as it is, and says that its colours are sRGB. */
public final class PngWriter {

    /** The metadata of PNG as the JDK names it. */
    private static final String NATIVE = "javax_imageio_png_1.0";

    private PngWriter() {}

    /** Leaves the stream open. */
    public static void write(Picture picture, OutputStream out) throws IOException {
        write(picture, Optional.empty(), out);
    }

    /** Leaves the stream open. @param resolution that the file tells; empty: none */
    public static void write(Picture picture, Optional<Resolution> resolution, OutputStream out) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            BufferedImage image = imageOf(picture);
            IIOMetadata about = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), null);
            about.mergeTree(NATIVE, chunks(resolution));
            writer.setOutput(stream);
            writer.write(new IIOImage(image, null, about));
        } finally {
            writer.dispose();
        }
    }

    private static IIOMetadataNode chunks(Optional<Resolution> resolution) {
        IIOMetadataNode root = new IIOMetadataNode(NATIVE);
        IIOMetadataNode colours = new IIOMetadataNode("sRGB");
        colours.setAttribute("renderingIntent", "Perceptual");
        root.appendChild(colours);
        resolution.ifPresent(known -> {
            IIOMetadataNode density = new IIOMetadataNode("pHYs");
            density.setAttribute("pixelsPerUnitXAxis", String.valueOf(known.xPerMetre()));
            density.setAttribute("pixelsPerUnitYAxis", String.valueOf(known.yPerMetre()));
            density.setAttribute("unitSpecifier", "meter");
            root.appendChild(density);
        });
        return root;
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
