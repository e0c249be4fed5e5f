package stillpond.core.format;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import stillpond.core.handon.FileNames;
import stillpond.core.plate.Plate;
import stillpond.core.plate.Plates;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Plates as a zip of films, black where ink is printed, each with the same marks around the page by which they are laid on each other, and an index as JSON. */
public final class PlateFiles {

    /** The form of each film. */
    public enum Form {
        /** TIFF 6.0, 8 bits of grey, Deflate. */
        TIFF(".tif"),
        PNG(".png");

        private final String ending;

        Form(String ending) {
            this.ending = ending;
        }
    }

    /** 8 mm at the resolution that most line art has. */
    private static final double MARK_METRES = 0.008;

    private static final int LEAST_MARGIN_PX = 60;
    /** 8 mm of 2000 to an inch: what a file tells of its resolution may be anything. */
    private static final int MOST_MARGIN_PX = 630;

    private static final long MOST_RATIONAL = 0xffffffffL;
    private static final int WHITE = 0xff;
    private static final int PER_INCH = 2;

    private PlateFiles() {}

    /** How wide the border with the marks is. @param resolution of the page */
    public static int marginPx(Resolution resolution) {
        double wanted = resolution.xPerMetre() * MARK_METRES;
        return (int) Math.round(Math.max(LEAST_MARGIN_PX, Math.min(MOST_MARGIN_PX, wanted)));
    }

    /** Leaves the stream open. A plate on which nothing is printed is left out. */
    public static void write(String title, Plates plates, Resolution resolution, Form form, OutputStream out)
            throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        FileNames names = new FileNames();
        int margin = marginPx(resolution);
        List<String[]> index = new ArrayList<>();
        for (Plate plate : plates.plates()) {
            long covered = covered(plate);
            if (covered > 0) {
                String file = names.unique(title + " - " + plate.ink(), form.ending);
                zip.putNextEntry(new ZipEntry(file));
                BufferedImage film = film(plates, plate, margin);
                if (form == Form.TIFF) {
                    tiff(film, resolution, zip);
                } else {
                    PngWriter.write(
                            film, new PngWriter.About(Optional.of(resolution), Map.of("Title", plate.ink())), zip);
                }
                zip.closeEntry();
                index.add(new String[] {file, plate.ink(), String.valueOf(covered)});
            }
        }
        zip.putNextEntry(new ZipEntry("index.json"));
        zip.write(json(plates, margin, index));
        zip.closeEntry();
        zip.finish();
    }

    /** In pixels that are wholly covered. */
    private static long covered(Plate plate) {
        long sum = 0;
        for (byte each : plate.coverage()) {
            sum += each & 0xff;
        }
        return (sum + 254) / 255;
    }

    private static BufferedImage film(Plates plates, Plate plate, int margin) {
        int width = plates.widthPx() + 2 * margin;
        int height = plates.heightPx() + 2 * margin;
        BufferedImage film = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        byte[] grey = ((DataBufferByte) film.getRaster().getDataBuffer()).getData();
        Arrays.fill(grey, (byte) WHITE);
        for (int y = 0; y < plates.heightPx(); y++) {
            for (int x = 0; x < plates.widthPx(); x++) {
                grey[(y + margin) * width + x + margin] =
                        (byte) (WHITE - (plate.coverage()[y * plates.widthPx() + x] & 0xff));
            }
        }
        RegistrationMarks.draw(grey, width, height, margin);
        return film;
    }

    private static void tiff(BufferedImage film, Resolution resolution, OutputStream out) throws IOException {
        ImageWriter writer = writerOfTheJdk();
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionType("Deflate");
            IIOMetadata metadata = writer.getDefaultImageMetadata(new ImageTypeSpecifier(film), param);
            TIFFDirectory directory = TIFFDirectory.createFromMetadata(metadata);
            directory.addTIFFField(perInch(BaselineTIFFTagSet.TAG_X_RESOLUTION, resolution.xPerMetre()));
            directory.addTIFFField(perInch(BaselineTIFFTagSet.TAG_Y_RESOLUTION, resolution.yPerMetre()));
            directory.addTIFFField(new TIFFField(
                    BaselineTIFFTagSet.getInstance().getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT),
                    TIFFTag.TIFF_SHORT,
                    1,
                    new char[] {PER_INCH}));
            writer.setOutput(stream);
            writer.write(null, new IIOImage(film, Collections.emptyList(), directory.getAsMetadata()), param);
            stream.flush();
        } finally {
            writer.dispose();
        }
    }

    private static TIFFField perInch(int tag, int perMetre) {
        return new TIFFField(BaselineTIFFTagSet.getInstance().getTag(tag), TIFFTag.TIFF_RATIONAL, 1, new long[][] {
            {Math.min(MOST_RATIONAL, Math.round(perMetre * 2.54)), 100}
        });
    }

    /** Others that are there do not take a directory of tags. */
    private static ImageWriter writerOfTheJdk() {
        for (Iterator<ImageWriter> all = ImageIO.getImageWritersByFormatName("tiff"); all.hasNext(); ) {
            ImageWriter each = all.next();
            if (each.getClass().getName().startsWith("com.sun.imageio")) {
                return each;
            }
        }
        throw new IllegalStateException("Every Java platform since 9 writes TIFF");
    }

    private static byte[] json(Plates plates, int margin, List<String[]> index) {
        JsonMapper mapper = JsonMapper.shared();
        ObjectNode root = mapper.createObjectNode();
        root.put("width", plates.widthPx())
                .put("height", plates.heightPx())
                .put("margin", margin)
                .put("mostInkPercent", plates.mostInkPercent())
                .put("pixelsOverLimit", plates.overLimit());
        ArrayNode films = root.putArray("plates");
        for (String[] row : index) {
            films.addObject().put("file", row[0]).put("ink", row[1]).put("pixels", Long.parseLong(row[2]));
        }
        return mapper.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
    }
}
