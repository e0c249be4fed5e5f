package stillpond.browser;

import java.util.Arrays;
import org.teavm.jso.JSExport;
import stillpond.core.format.PlaneCodec;

/** Planes as the server sends them: the cells of all pixels as runs, row by row. The pages lay these out; no array as large as the page crosses. */
public final class Plane {

    private static final int FIRST_ROOM = 1 << 16;

    private int widthPx;
    private int heightPx;
    private int count;
    private int[] ends = new int[FIRST_ROOM];
    private int[] cells = new int[FIRST_ROOM];
    private int[] solids = new int[0];

    private Plane() {}

    @JSExport
    public static Plane read(byte[] sent) {
        Plane plane = new Plane();
        PlaneCodec.readPlane(sent, plane.sink());
        return plane;
    }

    /** The strokes of each pixel, and {@link #solids}. */
    @JSExport
    public static Plane readStrokes(byte[] sentStrokes) {
        Plane plane = new Plane();
        plane.solids = PlaneCodec.readStrokes(sentStrokes, plane.sink());
        return plane;
    }

    /** By stroke, how dense its ink is where it is solid, 1 to 255; empty for a plane of cells. */
    @JSExport
    public int[] solids() {
        return solids;
    }

    /** @param inkStart the first bytes of an ink plane: its pixels stay where they are */
    @JSExport
    public static InkStart inkStart(byte[] inkStart) {
        PlaneCodec.InkHeader header = PlaneCodec.readInkHeader(inkStart);
        return new InkStart(header.widthPx(), header.heightPx(), header.threshold(), header.length());
    }

    private PlaneCodec.PlaneSink sink() {
        return new PlaneCodec.PlaneSink() {
            @Override
            public void begin(int width, int height) {
                widthPx = width;
                heightPx = height;
            }

            @Override
            public void run(int start, int end, int cell) {
                if (count == ends.length) {
                    ends = Arrays.copyOf(ends, 2 * count);
                    cells = Arrays.copyOf(cells, 2 * count);
                }
                ends[count] = end;
                cells[count++] = cell;
            }
        };
    }

    @JSExport
    public int widthPx() {
        return widthPx;
    }

    @JSExport
    public int heightPx() {
        return heightPx;
    }

    /** Behind the last pixel of each run. */
    @JSExport
    public int[] ends() {
        return Arrays.copyOf(ends, count);
    }

    /** The cell of each run. */
    @JSExport
    public int[] cells() {
        return Arrays.copyOf(cells, count);
    }
}
