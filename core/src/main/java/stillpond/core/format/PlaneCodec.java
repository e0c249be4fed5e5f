package stillpond.core.format;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.stroke.StrokeMap;

/**
 * The forms in which planes are stored and sent to the desk: gzip (RFC 1952) of what {@code docs/formats.md} describes.
 *
 * <p>The same plane always gives the same bytes, so planes can be known by the hash of these.
 */
public final class PlaneCodec {

    private static final int BUFFER_BYTES = 1 << 16;

    private PlaneCodec() {}

    public static byte[] encode(InkPlane ink) {
        return gzip(out -> {
            out.number(ink.widthPx());
            out.number(ink.heightPx());
            out.number(ink.threshold());
            out.bytes(ink.density());
        });
    }

    /** What an ink plane as it is sent begins with. @param length in bytes; the density of each pixel follows */
    public record InkHeader(int widthPx, int heightPx, int threshold, int length) {}

    /** Reads the start of an ink plane as it was sent: not zipped any more, and perhaps without its pixels. */
    public static InkHeader readInkHeader(byte[] sent) {
        return reading(sent, in -> {
            int width = in.number();
            int height = in.number();
            int threshold = in.number();
            int length =
                    NumberWriter.lengthOf(width) + NumberWriter.lengthOf(height) + NumberWriter.lengthOf(threshold);
            return new InkHeader(width, height, threshold, length);
        });
    }

    public static InkPlane decodeInk(byte[] stored) {
        return gunzip(stored, in -> {
            int width = in.number();
            int height = in.number();
            int threshold = in.number();
            return new InkPlane(width, height, in.bytes(width * height), threshold);
        });
    }

    public static byte[] encode(CellPlane cells) {
        return gzip(out -> writePlane(cells, out));
    }

    public static CellPlane decodeCells(byte[] stored) {
        return gunzip(stored, PlaneCodec::readPlane);
    }

    /** The cell at a pixel of a plane, or of the plane of a map, without unpacking all of it. @throws IndexOutOfBoundsException if there is no such pixel */
    public static int cellAt(byte[] stored, int x, int y) {
        return gunzip(stored, in -> {
            int width = in.number();
            int height = in.number();
            if (x < 0 || y < 0 || x >= width || y >= height) {
                throw new IndexOutOfBoundsException(x + ", " + y);
            }
            int cell = 0;
            for (int end = 0; end <= y * width + x; ) {
                end += in.number();
                cell += in.signed();
            }
            return cell;
        });
    }

    /** The plane first, then the cells, then the borders; {@link #decodeCells} reads the plane alone. */
    public static byte[] encode(CellMap map) {
        return gzip(out -> {
            writePlane(map.plane(), out);
            out.number(map.cells().size());
            for (Cell cell : map.cells()) {
                writeCell(cell, out);
            }
            out.number(map.borders().size());
            for (Border border : map.borders()) {
                writeBorder(border, out);
            }
        });
    }

    public static CellMap decodeMap(byte[] stored) {
        return gunzip(stored, in -> new CellMap(readPlane(in), readCells(in), readBorders(in)));
    }

    /** A map without its plane. */
    public static CellGraph decodeGraph(byte[] stored) {
        return gunzip(stored, in -> readGraph(in, PlaneSink.NONE));
    }

    /** The plane first, then how dense each stroke is where it is solid. */
    public static byte[] encode(StrokeMap map) {
        return gzip(out -> {
            writePlane(map.plane(), out);
            out.number(map.count());
            for (int solid : map.solids()) {
                out.number(solid);
            }
        });
    }

    /** @param pageWidthPx of the page that the strokes are of, as {@code pageHeightPx} */
    public static StrokeMap decodeStrokes(byte[] stored, int pageWidthPx, int pageHeightPx) {
        return gunzip(stored, in -> new StrokeMap(pageWidthPx, pageHeightPx, readPlane(in), readSolids(in)));
    }

    /** Reads strokes as they were sent: not zipped any more. Returns how dense each is where it is solid. */
    public static int[] readStrokes(byte[] sent, PlaneSink sink) {
        return reading(sent, in -> {
            readPlane(in, sink);
            return readSolids(in);
        });
    }

    private static int[] readSolids(NumberReader in) throws IOException {
        int[] solids = new int[in.number()];
        for (int stroke = 0; stroke < solids.length; stroke++) {
            solids[stroke] = in.number();
        }
        return solids;
    }

    /** Takes a plane while it is read, for whoever keeps its numbers in an array of another kind. */
    public interface PlaneSink {

        /** For whoever needs no pixels. */
        PlaneSink NONE = new PlaneSink() {
            @Override
            public void begin(int widthPx, int heightPx) {}

            @Override
            public void run(int start, int end, int cell) {}
        };

        void begin(int widthPx, int heightPx);

        /** The pixels from {@code start} on, before {@code end}, row by row, are of a cell. */
        void run(int start, int end, int cell);
    }

    /** Reads a plane, or the plane of a map, as it was sent: not zipped any more. */
    public static void readPlane(byte[] sent, PlaneSink sink) {
        reading(sent, in -> readPlane(in, sink));
    }

    /** Reads a map as it was sent: not zipped any more. */
    public static CellGraph readMap(byte[] sent, PlaneSink sink) {
        return reading(sent, in -> readGraph(in, sink));
    }

    private static CellGraph readGraph(NumberReader in, PlaneSink sink) throws IOException {
        Size size = readPlane(in, sink);
        return new CellGraph(size.widthPx(), size.heightPx(), readCells(in), readBorders(in));
    }

    private static List<Cell> readCells(NumberReader in) throws IOException {
        int count = in.number();
        List<Cell> cells = new ArrayList<>(count);
        for (int number = 0; number < count; number++) {
            cells.add(readCell(number, in));
        }
        return cells;
    }

    static List<Border> readBorders(NumberReader in) throws IOException {
        int count = in.number();
        List<Border> borders = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            borders.add(new Border(in.number(), in.number(), in.number()));
        }
        return borders;
    }

    /** Runs in reading order, over the ends of rows: length, then the step from the number before. */
    static void writePlane(CellPlane plane, NumberWriter out) throws IOException {
        out.number(plane.widthPx());
        out.number(plane.heightPx());
        int[] numbers = plane.numbers();
        int before = 0;
        int start = 0;
        for (int i = 1; i <= numbers.length; i++) {
            if (i == numbers.length || numbers[i] != numbers[start]) {
                out.number(i - start);
                out.signed(numbers[start] - before);
                before = numbers[start];
                start = i;
            }
        }
    }

    static CellPlane readPlane(NumberReader in) throws IOException {
        WholeNumbers sink = new WholeNumbers();
        Size size = readPlane(in, sink);
        return new CellPlane(size.widthPx(), size.heightPx(), sink.numbers);
    }

    private record Size(int widthPx, int heightPx) {}

    private static Size readPlane(NumberReader in, PlaneSink sink) throws IOException {
        Size size = new Size(in.number(), in.number());
        sink.begin(size.widthPx(), size.heightPx());
        int pixels = size.widthPx() * size.heightPx();
        int cell = 0;
        int at = 0;
        while (at < pixels) {
            int end = at + in.number();
            cell += in.signed();
            sink.run(at, end, cell);
            at = end;
        }
        return size;
    }

    private static final class WholeNumbers implements PlaneSink {
        private int[] numbers = new int[0];

        @Override
        public void begin(int widthPx, int heightPx) {
            numbers = new int[widthPx * heightPx];
        }

        @Override
        public void run(int start, int end, int cell) {
            Arrays.fill(numbers, start, end, cell);
        }
    }

    static void writeBorder(Border border, NumberWriter out) throws IOException {
        out.number(border.first());
        out.number(border.second());
        out.number(border.lengthPx());
    }

    static void writeCell(Cell cell, NumberWriter out) throws IOException {
        Box box = cell.box();
        out.number(cell.areaPx());
        out.number(box.xStart());
        out.number(box.yStart());
        out.number(box.widthPx());
        out.number(box.heightPx());
        out.number(cell.deepestX());
        out.number(cell.deepestY());
        out.number((int) Math.round(cell.depthPx() * cell.depthPx()));
    }

    static Cell readCell(int number, NumberReader in) throws IOException {
        int area = in.number();
        int xStart = in.number();
        int yStart = in.number();
        Box box = new Box(xStart, yStart, xStart + in.number(), yStart + in.number());
        return new Cell(number, area, box, in.number(), in.number(), Math.sqrt(in.number()));
    }

    interface Writing {
        void to(NumberWriter out) throws IOException;
    }

    interface Reading<T> {
        T from(NumberReader in) throws IOException;
    }

    static byte[] gzip(Writing writing) {
        ByteArrayOutputStream stored = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new FastGzip(stored)) {
            NumberWriter out = new NumberWriter(zip, BUFFER_BYTES);
            writing.to(out);
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return stored.toByteArray();
    }

    static <T> T reading(byte[] sent, Reading<T> reading) {
        try {
            return reading.from(new NumberReader(new ByteArrayInputStream(sent), BUFFER_BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static <T> T gunzip(byte[] stored, Reading<T> reading) {
        try (GZIPInputStream zip = new GZIPInputStream(new ByteArrayInputStream(stored), BUFFER_BYTES)) {
            return reading.from(new NumberReader(zip, BUFFER_BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Planes are mostly long runs: the quickest level packs them nearly as well as the best one. */
    private static final class FastGzip extends GZIPOutputStream {
        FastGzip(ByteArrayOutputStream out) throws IOException {
            super(out, BUFFER_BYTES);
            def.setLevel(Deflater.BEST_SPEED);
        }
    }
}
