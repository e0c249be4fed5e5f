package stillpond.app.sheet;

import java.io.DataInput;
import java.io.DataOutput;
import java.io.IOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import stillpond.core.format.PlaneCodec;
import stillpond.core.render.SmallSheet;
import stillpond.core.stroke.StrokeMap;

/** The strokes of line art in the forms in which they are kept; see {@link StrokePlanes}. */
record CutInk(byte[] plane, byte[] small, int count, double widthPx) {

    private static final int NONE = 0;

    /** Empty if nothing of the ink is a stroke. @param strokePx how wide strokes are, in pixels of the page */
    static Optional<CutInk> of(StrokeMap map, double strokePx) {
        return map.count() == 0
                ? Optional.empty()
                : Optional.of(new CutInk(
                        PlaneCodec.encode(map),
                        PlaneCodec.encode(SmallSheet.strokesOf(map, LineArt.SMALL_LONG_SIDE_PX)),
                        map.count(),
                        strokePx));
    }

    StrokePlanes keepIn(Planes planes) {
        return new StrokePlanes(planes.keep(plane), planes.keep(small), count, widthPx);
    }

    static void write(@Nullable CutInk strokes, DataOutput out) throws IOException {
        if (strokes == null) {
            out.writeInt(NONE);
            return;
        }
        out.writeInt(strokes.count);
        out.writeDouble(strokes.widthPx);
        LineArt.writePlane(strokes.plane, out);
        LineArt.writePlane(strokes.small, out);
    }

    static @Nullable CutInk read(DataInput in) throws IOException {
        int count = in.readInt();
        if (count == NONE) {
            return null;
        }
        double widthPx = in.readDouble();
        return new CutInk(LineArt.readPlane(in), LineArt.readPlane(in), count, widthPx);
    }
}
