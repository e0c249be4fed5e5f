package stillpond.app.sheet;

import stillpond.core.cell.CellMap;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.InkSettings;
import stillpond.core.render.SmallSheet;

/**
 * A file of line art, analysed and in the forms in which it is kept.
 *
 * @param source the file as it came
 */
record LineArt(
        InkSettings settings,
        int widthPx,
        int heightPx,
        int cellCount,
        byte[] source,
        byte[] ink,
        byte[] cells,
        byte[] smallInk,
        byte[] smallCells) {

    /** Sharp in a strip of sheets on a dense display. */
    private static final int SMALL_LONG_SIDE_PX = 480;

    /** @throws UnreadableFile if it cannot be read, or holds nothing to fill or nothing that bounds a fill */
    static LineArt analyse(byte[] file, ImageLimits limits, InkSettings settings) {
        InkPlane ink = InkFinder.find(new LineArtReader(limits).read(file), settings);
        requireSomethingToFill(ink);
        CellMap map = CellMap.of(ink);
        SmallSheet small = SmallSheet.of(map.plane(), ink, SMALL_LONG_SIDE_PX);
        return new LineArt(
                settings,
                ink.widthPx(),
                ink.heightPx(),
                map.cells().size(),
                file,
                PlaneCodec.encode(ink),
                PlaneCodec.encode(map),
                PlaneCodec.encode(small.ink()),
                PlaneCodec.encode(small.cells()));
    }

    private static void requireSomethingToFill(InkPlane ink) {
        int inkPixels = ink.inkPixels();
        if (inkPixels == 0) {
            throw new UnreadableFile("The page is empty: no ink was found on it. Is the line art on a hidden layer?");
        }
        if (inkPixels == ink.density().length) {
            throw new UnreadableFile("The page is all ink: there is no paper to fill. Is it inverted?");
        }
    }

    LayerPlanes keepIn(Planes planes) {
        return new LayerPlanes(
                settings,
                widthPx,
                heightPx,
                cellCount,
                planes.keep(source),
                planes.keep(ink),
                planes.keep(cells),
                planes.keep(smallInk),
                planes.keep(smallCells));
    }
}
