package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Repeat;
import stillpond.core.fill.Span;
import stillpond.core.fill.Stop;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Faces;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.render.CellColours;
import stillpond.core.render.InkColours;
import stillpond.core.render.InkShapes;
import stillpond.core.render.ShadowLayers.Laying;
import stillpond.core.render.SheetPainter;
import stillpond.core.stack.Standing;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Files that are handed on, read by libraries that know nothing of us. */
class HandedOnTest {

    private static final int WIDTH = 320;
    private static final int HEIGHT = 240;
    private static final Swatch COAT = new Swatch(UUID.randomUUID(), "Coat & <collar>", new Srgb(47, 111, 94));
    private static final Swatch SAND = new Swatch(UUID.randomUUID(), "Sand", new Srgb(232, 216, 176));
    private static final Swatch DUSK = new Swatch(UUID.randomUUID(), "Dusk", new Srgb(60, 70, 130));
    private static final Palette PALETTE =
            new Palette(List.of(new Card(UUID.randomUUID(), "Juniper", "", List.of(COAT, SAND, DUSK))));
    private static final OwnMotifs MOTIFS = new OwnMotifs();

    /** Sand, with a round coat, a sky behind a wavy line, and a ring of nothing around the coat. */
    private static final CellPlane CELLS = plane();

    @Test
    void shapesAreTheFlatsAgainButForAPixelAlongBorders() throws IOException {
        Fills fills = Fills.of(Map.of(0, Fill.flat(SAND.id()), 1, Fill.flat(COAT.id()), 2, Fill.flat(DUSK.id())));
        BufferedImage drawn = drawn(svg(fills, Arrangement.COLOUR));
        CellColours colours = CellColours.of(fills, PALETTE::colourOf, MOTIFS, 4);
        Picture flats = SheetPainter.composed(CELLS, noInk(), colours, InkColours.BLACK);
        int off = 0;
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                if ((drawn.getRGB(x, y) & 0xffffff) != (flats.argbAt(x, y) & 0xffffff)) {
                    off++;
                    assertThat(isBesideAnother(x, y)).as("%d, %d is off", x, y).isTrue();
                }
            }
        }
        assertThat(off).as("along borders").isLessThan(600);
    }

    @Test
    void oneRuleOfTheStyleSheetRecoloursAllThatWearsASwatch() throws IOException {
        Fills fills = Fills.of(Map.of(0, Fill.flat(SAND.id()), 1, Fill.flat(COAT.id())));
        String svg = new String(svg(fills, Arrangement.COLOUR), StandardCharsets.UTF_8);
        assertThat(svg).contains(".juniper-coat-collar{fill:#2f6f5e;");
        BufferedImage red =
                drawn(svg.replace(".juniper-coat-collar{fill:#2f6f5e;", ".juniper-coat-collar{fill:#ff0000;")
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(red.getRGB(100, 100) & 0xffffff).isEqualTo(0xff0000);
        assertThat(red.getRGB(5, 235) & 0xffffff).isEqualTo(0xe8d8b0);
    }

    @Test
    void groupsCarryTheirNamesWhateverTheseAre() throws Exception {
        Fills fills = Fills.of(Map.of(0, Fill.flat(SAND.id()), 1, Fill.flat(COAT.id())));
        Document svg = xml(svg(fills, Arrangement.COLOUR));
        assertThat(titles(svg)).contains("Juniper, Coat & <collar>", "Juniper, Sand");
    }

    @Test
    void gradientsAndPatternsGoOutAsSuch() throws Exception {
        Fill.Gradient gradient = new Fill.Gradient(
                Fill.Course.LINEAR,
                new Span(0, 0, WIDTH, 0),
                List.of(new Stop(0, SAND.id()), new Stop(100, DUSK.id())),
                Opacity.FULL);
        Fill.Pattern pattern = new Fill.Pattern(
                "checks",
                new Span(60, 60, 100, 60),
                Repeat.PLAIN,
                List.of(COAT.id(), SAND.id()),
                Opacity.FULL,
                Optional.empty());
        Fills fills = Fills.of(Map.of(0, gradient, 1, pattern));
        byte[] svg = svg(fills, Arrangement.COLOUR);
        Document document = xml(svg);
        assertThat(document.getElementsByTagName("linearGradient").getLength()).isEqualTo(1);
        assertThat(document.getElementsByTagName("pattern").getLength()).isEqualTo(1);
        BufferedImage drawn = drawn(svg);
        CellColours colours = CellColours.of(fills, PALETTE::colourOf, MOTIFS, 4);
        Picture sheet = SheetPainter.composed(CELLS, noInk(), colours, InkColours.BLACK);
        for (int x = 4; x < WIDTH; x += 20) {
            assertThat(difference(drawn.getRGB(x, 235), sheet.argbAt(x, 235)))
                    .as("gradient at %d", x)
                    .isLessThan(4);
        }
        int alike = 0;
        for (int y = 80; y < 120; y++) {
            for (int x = 80; x < 120; x++) {
                alike += difference(drawn.getRGB(x, y), sheet.argbAt(x, y)) < 40 ? 1 : 0;
            }
        }
        assertThat(alike).as("of 1600 places of the pattern").isGreaterThan(1350);
    }

    @Test
    void openRasterHoldsNamedLayersThatGiveThePicture() throws Exception {
        Fills fills = Fills.of(Map.of(0, Fill.flat(SAND.id()), 1, Fill.flat(COAT.id())));
        CellColours colours = CellColours.of(fills, PALETTE::colourOf, MOTIFS, 4);
        Picture coat = SheetPainter.layer(CELLS, colours.ofCells(cell -> cell == 1));
        Picture sand = SheetPainter.layer(CELLS, colours.ofCells(cell -> cell == 0));
        Picture whole = SheetPainter.composed(CELLS, noInk(), colours, InkColours.BLACK);
        Laying over = new Laying.Blended(BlendMode.NORMAL);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (OpenRasterWriter writer =
                new OpenRasterWriter(out, WIDTH, HEIGHT, Optional.of(new Resolution(11811, 11811)))) {
            writer.begin("Figure \"in front\"", 0, 0, 100);
            writer.layer("Coat", coat, new Laying.Blended(BlendMode.MULTIPLY), 0, 0);
            writer.layer("Nothing", new Picture(WIDTH, HEIGHT, new int[WIDTH * HEIGHT]), over, 0, 0);
            writer.end();
            writer.layer("Sand", sand, over, 0, 0);
            writer.finish(whole);
        }
        Map<String, byte[]> entries = Unzipped.of(out.toByteArray());
        assertThat(entries.keySet().iterator().next()).isEqualTo("mimetype");
        assertThat(new String(out.toByteArray(), 30, 24, StandardCharsets.US_ASCII))
                .as("unpacked at the start")
                .isEqualTo("mimetypeimage/openraster");
        assertThat(entries).containsKeys("stack.xml", "mergedimage.png", "Thumbnails/thumbnail.png");
        Document stack = xml(entries.get("stack.xml"));
        NodeList layers = stack.getElementsByTagName("layer");
        assertThat(layers.getLength()).isEqualTo(2);
        Element first = (Element) layers.item(0);
        assertThat(first.getAttribute("name")).isEqualTo("Coat");
        assertThat(first.getAttribute("composite-op")).isEqualTo("svg:multiply");
        assertThat(((Element) first.getParentNode()).getAttribute("name")).isEqualTo("Figure \"in front\"");
        assertThat(stack.getDocumentElement().getAttribute("xres")).isEqualTo("300");
        BufferedImage picture = image(entries.get(first.getAttribute("src")));
        int x = Integer.parseInt(first.getAttribute("x"));
        int y = Integer.parseInt(first.getAttribute("y"));
        assertThat(picture.getWidth()).as("trimmed").isLessThan(WIDTH);
        assertThat(picture.getRGB(100 - x, 100 - y)).isEqualTo(0xff2f6f5e);
        assertThat(image(entries.get("mergedimage.png")).getRGB(100, 100)).isEqualTo(0xff2f6f5e);
    }

    @Test
    void masksPartThePageAndTheIndexSaysWhoseTheyAre() throws IOException {
        Fills fills = Fills.of(Map.of(0, Fill.flat(SAND.id()), 1, Fill.flat(COAT.id()), 2, Fill.flat(SAND.id())));
        for (MaskFiles.Depth depth : MaskFiles.Depth.values()) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            MaskFiles.write(
                    new MaskFiles.Page(WIDTH, HEIGHT, depth, Optional.empty(), PALETTE::colourOf),
                    List.of(new MaskFiles.Layer(
                            Standing.of(UUID.randomUUID(), "Drawing"), CELLS, faces(fills, Arrangement.COLOUR))),
                    out);
            Map<String, byte[]> entries = Unzipped.of(out.toByteArray());
            JsonNode masks =
                    JsonMapper.shared().readTree(entries.get("index.json")).get("masks");
            assertThat(masks.size()).isEqualTo(2);
            Map<String, BufferedImage> byName = new HashMap<>();
            for (JsonNode mask : masks) {
                BufferedImage image = image(entries.get(mask.get("file").asString()));
                assertThat(image.getColorModel().getPixelSize()).isEqualTo(depth == MaskFiles.Depth.ONE_BIT ? 1 : 8);
                assertThat(count(image)).isEqualTo(mask.get("pixels").asLong());
                byName.put(mask.get("colour").asString(), image);
            }
            assertThat(byName.get("#2f6f5e").getRGB(100, 100)).isEqualTo(0xffffffff);
            assertThat(byName.get("#e8d8b0").getRGB(100, 100)).isEqualTo(0xff000000);
            String csv = new String(entries.get("index.csv"), StandardCharsets.UTF_8);
            assertThat(csv.lines().findFirst()).contains("file,layer,name,colour,pixels");
        }
    }

    @Test
    void aPngOfFewColoursHasATableOfThemAndEveryPixelAsItWas() throws IOException {
        int[] argb = new int[WIDTH * HEIGHT];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = i % 255 == 0 ? 0 : 0xff000000 | i % 255 * 0x010203;
        }
        Picture few = new Picture(WIDTH, HEIGHT, argb);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PngWriter.About about = new PngWriter.About(
                Optional.of(new Resolution(23622, 23622)), Map.of("Description", "Under the light Dämmerung"));
        PngWriter.writeSmallest(few, about, out);
        BufferedImage image = image(out.toByteArray());
        assertThat(image.getColorModel()).isInstanceOf(IndexColorModel.class);
        assertThat(image.getRGB(0, 0, WIDTH, HEIGHT, null, 0, WIDTH)).isEqualTo(argb);
        assertThat(Resolution.of(out.toByteArray())).contains(new Resolution(23622, 23622));
        assertThat(new String(out.toByteArray(), StandardCharsets.UTF_8)).contains("Under the light Dämmerung", "sRGB");

        argb[7] = 0x80123456;
        argb[8] = 0x80123457;
        argb[9] = 0x80123458;
        out.reset();
        PngWriter.writeSmallest(new Picture(WIDTH, HEIGHT, argb), about, out);
        BufferedImage many = image(out.toByteArray());
        assertThat(many.getColorModel()).isNotInstanceOf(IndexColorModel.class);
        assertThat(many.getRGB(0, 0, WIDTH, HEIGHT, null, 0, WIDTH)).isEqualTo(argb);
    }

    private static byte[] svg(Fills fills, Arrangement arrangement) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SvgSheet.Page page = new SvgSheet.Page("Low <tide>", WIDTH, HEIGHT, PALETTE, PALETTE::colourOf, MOTIFS);
        SvgSheet.Layer layer = new SvgSheet.Layer(
                Standing.of(UUID.randomUUID(), "Drawing"),
                CELLS,
                faces(fills, arrangement),
                InkShapes.of(noInk(), InkColours.BLACK),
                Map.of());
        SvgSheet.write(page, List.of(layer), out);
        return out.toByteArray();
    }

    private static Faces faces(Fills fills, Arrangement arrangement) {
        return Faces.of(arrangement, new Faces.Laid(fills, new int[] {0, 1, 2, 3}, CellGroups.NONE), PALETTE);
    }

    private static CellPlane plane() {
        int[] numbers = new int[WIDTH * HEIGHT];
        for (int i = 0; i < numbers.length; i++) {
            int x = i % WIDTH;
            int y = i / WIDTH;
            double away = Math.hypot(x - 100, y - 100);
            numbers[i] = away < 50 ? 1 : away < 60 ? 3 : y < 60 + 12 * Math.sin(x / 25.0) ? 2 : 0;
        }
        return new CellPlane(WIDTH, HEIGHT, numbers);
    }

    private static InkPlane noInk() {
        return new InkPlane(WIDTH, HEIGHT, new byte[WIDTH * HEIGHT], 128);
    }

    private static boolean isBesideAnother(int x, int y) {
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int column = Math.max(0, Math.min(WIDTH - 1, x + dx));
                int row = Math.max(0, Math.min(HEIGHT - 1, y + dy));
                if (CELLS.numberAt(column, row) != CELLS.numberAt(x, y)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static int difference(int first, int second) {
        int most = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            most = Math.max(most, Math.abs((first >> shift & 0xff) - (second >> shift & 0xff)));
        }
        return most;
    }

    private static long count(BufferedImage mask) {
        long count = 0;
        for (int argb : mask.getRGB(0, 0, WIDTH, HEIGHT, null, 0, WIDTH)) {
            count += argb == 0xffffffff ? 1 : 0;
        }
        return count;
    }

    private static BufferedImage drawn(byte[] svg) {
        SVGDocument document = new SVGLoader().load(new ByteArrayInputStream(svg), null, LoaderContext.createDefault());
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = image.createGraphics();
        document.render(null, graphics);
        graphics.dispose();
        return image;
    }

    private static BufferedImage image(byte[] png) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    private static Document xml(byte[] file) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(file));
    }

    private static List<String> titles(Document svg) {
        NodeList all = svg.getElementsByTagName("title");
        return IntStream.range(0, all.getLength())
                .mapToObj(i -> all.item(i).getTextContent())
                .toList();
    }
}
