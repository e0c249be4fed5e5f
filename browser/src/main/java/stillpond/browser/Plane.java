package stillpond.browser;

import java.util.Arrays;
import org.teavm.jso.JSExport;
import stillpond.core.format.PlaneCodec;

/** Planes as the server sends them. The pages keep what they are given: nothing of a plane stays here. */
public final class Plane {

    private static final int SHORT_NUMBERS = 1 << 16;

    private final boolean isShort;
    private int widthPx;
    private int heightPx;
    private short[] shorts = new short[0];
    private int[] ints = new int[0];

    private Plane(boolean isShort) {
        this.isShort = isShort;
    }

    /** The number of the cell of every pixel. @param cellCount how many cells there are */
    @JSExport
    public static Plane read(byte[] sent, int cellCount) {
        Plane plane = new Plane(isShort(cellCount));
        PlaneCodec.readPlane(sent, plane.sink());
        return plane;
    }

    /** Whether the numbers of so many cells are kept short. */
    @JSExport
    public static boolean isShort(int cellCount) {
        return cellCount <= SHORT_NUMBERS;
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
                if (isShort) {
                    shorts = new short[width * height];
                } else {
                    ints = new int[width * height];
                }
            }

            @Override
            public void run(int start, int end, int cell) {
                if (isShort) {
                    Arrays.fill(shorts, start, end, (short) cell);
                } else {
                    Arrays.fill(ints, start, end, cell);
                }
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

    /** Row by row, to be read as unsigned; empty if the numbers are not short. */
    @JSExport
    public short[] shortNumbers() {
        return shorts;
    }

    /** Row by row; empty if the numbers are short. */
    @JSExport
    public int[] longNumbers() {
        return ints;
    }
}
