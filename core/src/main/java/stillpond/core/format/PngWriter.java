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
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
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
        write(imageOf(picture), new About(resolution, Map.of()), out);
    }

    /**
     * What a file tells of its picture.
     *
     * @param resolution empty: none
     * @param texts by keyword as the standard has them (11.3.3.2), such as Title
     */
    public record About(Optional<Resolution> resolution, Map<String, String> texts) {}

    /** The same pixels with a table of their colours if there are no more than 256. Leaves the stream open. */
    public static void writeSmallest(Picture picture, About about, OutputStream out) throws IOException {
        Optional<BufferedImage> indexed = FewColours.of(picture);
        write(indexed.isPresent() ? indexed.get() : imageOf(picture), about, out);
    }

    static void write(BufferedImage image, About about, OutputStream out) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            IIOMetadata metadata = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), null);
            metadata.mergeTree(NATIVE, chunks(about));
            writer.setOutput(stream);
            writer.write(new IIOImage(image, null, metadata));
        } finally {
            writer.dispose();
        }
    }

    private static IIOMetadataNode chunks(About about) {
        IIOMetadataNode root = new IIOMetadataNode(NATIVE);
        IIOMetadataNode colours = new IIOMetadataNode("sRGB");
        colours.setAttribute("renderingIntent", "Perceptual");
        root.appendChild(colours);
        about.resolution().ifPresent(known -> {
            IIOMetadataNode density = new IIOMetadataNode("pHYs");
            density.setAttribute("pixelsPerUnitXAxis", String.valueOf(known.xPerMetre()));
            density.setAttribute("pixelsPerUnitYAxis", String.valueOf(known.yPerMetre()));
            density.setAttribute("unitSpecifier", "meter");
            root.appendChild(density);
        });
        if (!about.texts().isEmpty()) {
            root.appendChild(texts(about.texts()));
        }
        return root;
    }

    private static IIOMetadataNode texts(Map<String, String> texts) {
        IIOMetadataNode all = new IIOMetadataNode("iTXt");
        new TreeMap<>(texts).forEach((keyword, text) -> {
            IIOMetadataNode entry = new IIOMetadataNode("iTXtEntry");
            entry.setAttribute("keyword", keyword);
            entry.setAttribute("compressionFlag", "FALSE");
            entry.setAttribute("compressionMethod", "0");
            entry.setAttribute("languageTag", "");
            entry.setAttribute("translatedKeyword", "");
            entry.setAttribute("text", text);
            all.appendChild(entry);
        });
        return all;
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
