package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.DocumentLimits;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Faces;
import stillpond.core.ink.InkPlane;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.render.InkColours;
import stillpond.core.render.InkShapes;
import stillpond.core.stack.Standing;

/** A page of 5000 squares of four pixels, each in a colour of its own, all under one name. */
class ManyColoursTest {

    private static final int COLUMNS = 100;
    private static final int ROWS = 50;
    private static final int SIDE = 4;
    private static final int COLOURS = COLUMNS * ROWS;
    private static final List<Swatch> SWATCHES = IntStream.range(0, COLOURS)
            .mapToObj(i -> new Swatch(UUID.randomUUID(), "Stone", Srgb.ofPacked(0x101010 + 977 * i)))
            .toList();
    private static final Palette PALETTE = new Palette(List.of(new Card(UUID.randomUUID(), "Pebbles", "", SWATCHES)));
    private static final CellPlane CELLS = cells();
    private static final Faces FACES = faces();

    private static CellPlane cells() {
        int width = COLUMNS * SIDE;
        int[] numbers = new int[width * ROWS * SIDE];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = i / width / SIDE * COLUMNS + i % width / SIDE;
        }
        return new CellPlane(width, ROWS * SIDE, numbers);
    }

    private static Faces faces() {
        Map<Integer, Fill> fills = new HashMap<>();
        IntStream.range(0, COLOURS)
                .forEach(cell -> fills.put(cell, Fill.flat(SWATCHES.get(cell).id())));
        int[] regions = IntStream.range(0, COLOURS).toArray();
        return Faces.of(Arrangement.COLOUR, new Faces.Laid(Fills.of(fills), regions, CellGroups.NONE), PALETTE);
    }

    @Test
    void shapesHaveEveryColourWhereItWas() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        InkPlane noInk =
                new InkPlane(CELLS.widthPx(), CELLS.heightPx(), new byte[CELLS.widthPx() * CELLS.heightPx()], 128);
        SvgSheet.write(
                new SvgSheet.Page(
                        "Pebbles", CELLS.widthPx(), CELLS.heightPx(), PALETTE, PALETTE::colourOf, new OwnMotifs()),
                List.of(new SvgSheet.Layer(
                        Standing.of(UUID.randomUUID(), "Drawing"),
                        CELLS,
                        FACES,
                        InkShapes.of(noInk, InkColours.BLACK),
                        Map.of())),
                out);
        SVGDocument read = new SVGLoader()
                .load(
                        new ByteArrayInputStream(out.toByteArray()),
                        null,
                        LoaderContext.builder()
                                .documentLimits(new DocumentLimits(30, 15, 3 * COLOURS))
                                .build());
        BufferedImage drawn = new BufferedImage(CELLS.widthPx(), CELLS.heightPx(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = drawn.createGraphics();
        read.render(null, pen);
        pen.dispose();
        for (int cell = 0; cell < COLOURS; cell += 37) {
            int x = cell % COLUMNS * SIDE + SIDE / 2;
            int y = cell / COLUMNS * SIDE + SIDE / 2;
            assertThat(drawn.getRGB(x, y) & 0xffffff).as("cell %d", cell).isEqualTo(0x101010 + 977 * cell);
        }
    }

    @Test
    void thereIsAMaskForEachUnderANameOfItsOwn() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        MaskFiles.write(
                new MaskFiles.Page(
                        CELLS.widthPx(),
                        CELLS.heightPx(),
                        MaskFiles.Depth.ONE_BIT,
                        Optional.empty(),
                        PALETTE::colourOf),
                List.of(new MaskFiles.Layer(Standing.of(UUID.randomUUID(), "Drawing"), CELLS, FACES)),
                out);
        assertThat(Unzipped.of(out.toByteArray())).hasSize(FACES.groups().size() + 2);
    }
}
