package stillpond.app.sheet;

import java.util.stream.IntStream;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;
import stillpond.core.render.SmallSheet;

/** The planes of a layer that become others when cells are split; ink and source stay. */
record SplitPlanes(String cells, String openings, String smallCells, int[] areas) {

    static SplitPlanes of(Openings openings, InkPlane ink, Planes planes) {
        SmallSheet small = SmallSheet.of(openings.cells().plane(), ink, LineArt.SMALL_LONG_SIDE_PX);
        return new SplitPlanes(
                planes.keep(PlaneCodec.encode(openings.cells())),
                planes.keep(OpeningsCodec.encode(openings)),
                planes.keep(PlaneCodec.encode(small.cells())),
                openings.cells().areasPx());
    }

    /** Until the dams are known, every cell is a region of its own. */
    int[] regions() {
        return IntStream.range(0, areas.length).toArray();
    }
}
