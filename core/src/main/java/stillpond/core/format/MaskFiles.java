package stillpond.core.format;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import stillpond.core.cell.CellPlane;
import stillpond.core.exchange.CardCsv;
import stillpond.core.handon.Face;
import stillpond.core.handon.Faces;
import stillpond.core.handon.FileNames;
import stillpond.core.palette.SwatchColours;
import stillpond.core.render.FillColours;
import stillpond.core.stack.Standing;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** One mask for each group of a sheet's shapes, white where it is and black elsewhere, in a zip with an index as CSV (RFC 4180) and JSON. */
public final class MaskFiles {

    /** What a mask has for each pixel. */
    public enum Depth {
        ONE_BIT,
        EIGHT_BITS
    }

    private static final byte WHITE = (byte) 0xff;
    private static final String[] COLUMNS = {"file", "layer", "name", "colour", "pixels"};

    private final ZipOutputStream zip;
    private final Page page;
    private final FileNames names = new FileNames();
    private final List<String[]> index = new ArrayList<>();

    private MaskFiles(OutputStream out, Page page) {
        this.zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        this.page = page;
    }

    /** What is the same for all masks. */
    public record Page(
            int widthPx, int heightPx, Depth depth, Optional<Resolution> resolution, SwatchColours colours) {}

    /** A layer that is shown. */
    public record Layer(Standing standing, CellPlane cells, Faces faces) {}

    /** Leaves the stream open. @param layers from front to back; each has masks of its own */
    public static void write(Page page, List<Layer> layers, OutputStream out) throws IOException {
        MaskFiles files = new MaskFiles(out, page);
        for (Layer layer : layers) {
            for (String group : layer.faces().groups()) {
                files.mask(layer, group, layers.size() > 1);
            }
        }
        files.entry("index.csv", files.csv());
        files.entry("index.json", files.json());
        files.zip.finish();
    }

    private void mask(Layer layer, String group, boolean isOneOfMany) throws IOException {
        List<Integer> faces = layer.faces().in(group);
        boolean[] isIn = new boolean[layer.faces().all().size() + 1];
        faces.forEach(face -> isIn[face] = true);
        BufferedImage image = new BufferedImage(page.widthPx(), page.heightPx(), BufferedImage.TYPE_BYTE_GRAY);
        long count = paint(layer, isIn, ((DataBufferByte) image.getRaster().getDataBuffer()).getData());
        if (count == 0) {
            return;
        }
        String name = isOneOfMany ? layer.standing().name() + ", " + group : group;
        String file = names.unique(name, ".png");
        zip.putNextEntry(new ZipEntry(file));
        PngWriter.write(
                page.depth() == Depth.ONE_BIT ? oneBit(image) : image,
                new PngWriter.About(page.resolution(), Map.of("Title", name)),
                zip);
        zip.closeEntry();
        Face first = layer.faces().all().get(faces.get(0) - 1);
        int mean = FillColours.of(first.fill(), page.colours()).mean();
        index.add(new String[] {
            file, layer.standing().name(), group, String.format("#%06x", mean & 0xffffff), String.valueOf(count)
        });
    }

    private long paint(Layer layer, boolean[] isIn, byte[] mask) {
        CellPlane cells = layer.cells();
        long count = 0;
        int dx = layer.standing().xPx();
        int dy = layer.standing().yPx();
        for (int y = Math.max(0, dy); y < Math.min(page.heightPx(), dy + cells.heightPx()); y++) {
            for (int x = Math.max(0, dx); x < Math.min(page.widthPx(), dx + cells.widthPx()); x++) {
                if (isIn[layer.faces().of(cells.numberAt(x - dx, y - dy))]) {
                    mask[y * page.widthPx() + x] = WHITE;
                    count++;
                }
            }
        }
        return count;
    }

    private static BufferedImage oneBit(BufferedImage grey) {
        int width = grey.getWidth();
        BufferedImage bits = new BufferedImage(width, grey.getHeight(), BufferedImage.TYPE_BYTE_BINARY);
        byte[] from = ((DataBufferByte) grey.getRaster().getDataBuffer()).getData();
        byte[] to = ((DataBufferByte) bits.getRaster().getDataBuffer()).getData();
        int rowBytes = (width + 7) / 8;
        for (int i = 0; i < from.length; i++) {
            if (from[i] != 0) {
                to[i / width * rowBytes + i % width / 8] |= (byte) (0x80 >> i % width % 8);
            }
        }
        return bits;
    }

    private byte[] csv() throws IOException {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (String[] row : index) {
                printer.printRecord(Arrays.stream(row).map(CardCsv::safe));
            }
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private byte[] json() throws IOException {
        ObjectMapper mapper = new ObjectMapper();
        ObjectNode root = mapper.createObjectNode();
        root.put("width", page.widthPx()).put("height", page.heightPx());
        ArrayNode masks = root.putArray("masks");
        for (String[] row : index) {
            ObjectNode mask = masks.addObject();
            for (int i = 0; i < 4; i++) {
                mask.put(COLUMNS[i], row[i]);
            }
            mask.put(COLUMNS[4], Long.parseLong(row[4]));
        }
        return mapper.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
    }

    private void entry(String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }
}
