package stillpond.browser;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.zip.GZIPInputStream;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.DamPatchCodec;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

/**
 * A layer of cells on a grid, as the server sends it, made from chance.
 *
 * @param patch what a line across the page changes
 */
record MadeLayer(int count, int openingCount, CellPlane plane, byte[] map, byte[] openings, byte[] patch) {

    private static final int SIDE_PX = 20;
    private static final double STROKE_PX = 3;

    static MadeLayer of(Random random) {
        int columns = 2 + random.nextInt(4);
        int rows = 2 + random.nextInt(4);
        CellMap map = grid(columns, rows, random);
        List<Opening> between = new ArrayList<>();
        for (Border border : map.borders()) {
            double width = 1 + random.nextInt(200) / 10.0;
            Opening.Kind[] kinds = Opening.Kind.values();
            between.add(new Opening(
                    border.first(),
                    border.second(),
                    kinds[random.nextInt(kinds.length)],
                    List.of(anywhere(random), anywhere(random), anywhere(random)),
                    width,
                    width / STROKE_PX,
                    random.nextInt(1_000_001) / 1e6));
        }
        Openings openings = new Openings(map, between, STROKE_PX, random.nextInt(1001) / 1e3, random.nextBoolean());
        byte[] sentMap = unzipped(PlaneCodec.encode(map));
        byte[] sentOpenings = unzipped(OpeningsCodec.encode(openings));
        int widthPx = map.plane().widthPx();
        int heightPx = map.plane().heightPx();
        // A dam cuts the plane that it is drawn on.
        CellPlane plane = new CellPlane(widthPx, heightPx, map.plane().numbers().clone());
        int x = SIDE_PX * random.nextInt(columns) + SIDE_PX / 2;
        HandDam.Outcome drawn = HandDam.draw(
                openings,
                new InkPlane(widthPx, heightPx, new byte[widthPx * heightPx], 128),
                List.of(new Point(x, 0), new Point(x, heightPx)));
        byte[] patch = DamPatchCodec.encode(between, (HandDam.Parted) drawn);
        return new MadeLayer(columns * rows, between.size(), plane, sentMap, sentOpenings, patch);
    }

    private static CellMap grid(int columns, int rows, Random random) {
        int width = SIDE_PX * columns;
        int[] numbers = new int[width * SIDE_PX * rows];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = i / width / SIDE_PX * columns + i % width / SIDE_PX;
        }
        List<Cell> cells = new ArrayList<>();
        List<Border> borders = new ArrayList<>();
        for (int cell = 0; cell < columns * rows; cell++) {
            int x = SIDE_PX * (cell % columns);
            int y = SIDE_PX * (cell / columns);
            cells.add(new Cell(
                    cell,
                    SIDE_PX * SIDE_PX + random.nextInt(400),
                    new Box(x, y, x + SIDE_PX, y + SIDE_PX),
                    x + random.nextInt(SIDE_PX),
                    y + random.nextInt(SIDE_PX),
                    Math.sqrt(random.nextInt(400))));
            if (cell % columns < columns - 1) {
                borders.add(new Border(cell, cell + 1, 1 + random.nextInt(SIDE_PX)));
            }
            if (cell / columns < rows - 1) {
                borders.add(new Border(cell, cell + columns, 1 + random.nextInt(SIDE_PX)));
            }
        }
        return new CellMap(new CellPlane(width, SIDE_PX * rows, numbers), cells, borders);
    }

    private static Point anywhere(Random random) {
        return new Point(random.nextInt(2000) / 10.0, random.nextInt(2000) / 10.0);
    }

    private static byte[] unzipped(byte[] stored) {
        try {
            return new GZIPInputStream(new ByteArrayInputStream(stored)).readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    Object[] asSent() {
        return new Object[] {map, openings};
    }

    Layer layer() {
        return Layer.read(map, openings);
    }
}
