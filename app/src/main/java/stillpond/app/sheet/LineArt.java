package stillpond.app.sheet;

import java.util.List;
import stillpond.core.cell.CellMap;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.UnreadableFile;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Picture;
import stillpond.core.ink.StrokeWidth;
import stillpond.core.render.SmallSheet;

/**
 * A file of line art, analysed and in the forms in which it is kept.
 *
 * @param analysisVersion see {@link Openings#VERSION}
 * @param source the file as it came
 */
record LineArt(
        int analysisVersion,
        InkSettings settings,
        int widthPx,
        int heightPx,
        int[] regions,
        int[] areas,
        double reach,
        byte[] source,
        byte[] ink,
        byte[] cells,
        byte[] openings,
        byte[] smallInk,
        byte[] smallCells) {

    private static final int UNSHARPENED = 0;

    /** Sharp in a strip of sheets on a dense display. */
    static final int SMALL_LONG_SIDE_PX = 480;

    /** @throws UnreadableFile if it holds nothing to fill or nothing that bounds a fill */
    static LineArt analyse(byte[] file, Picture picture, InkSettings settings) {
        InkPlane ink = ink(picture, settings);
        return of(file, ink, settings, Openings.of(ink), Openings.VERSION);
    }

    /** Only cut along its ink, which is quick; its gaps are still to be found. */
    static LineArt glance(byte[] file, Picture picture) {
        InkPlane ink = ink(picture, InkSettings.AUTOMATIC);
        Openings none = new Openings(CellMap.of(ink), List.of(), StrokeWidth.of(ink), 1, false);
        return of(file, ink, InkSettings.AUTOMATIC, none, UNSHARPENED);
    }

    private static InkPlane ink(Picture picture, InkSettings settings) {
        InkPlane ink = InkFinder.find(picture, settings);
        requireSomethingToFill(ink);
        return ink;
    }

    private static LineArt of(byte[] file, InkPlane ink, InkSettings settings, Openings openings, int version) {
        CellMap map = openings.cells();
        SmallSheet small = SmallSheet.of(map.plane(), ink, SMALL_LONG_SIDE_PX);
        return new LineArt(
                version,
                settings,
                ink.widthPx(),
                ink.heightPx(),
                Regions.of(openings, Dams.at(openings.defaultReach())).ofCells(),
                map.areasPx(),
                openings.defaultReach(),
                file,
                PlaneCodec.encode(ink),
                PlaneCodec.encode(map),
                OpeningsCodec.encode(openings),
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
                analysisVersion,
                settings,
                widthPx,
                heightPx,
                regions,
                areas,
                reach,
                planes.keep(source),
                planes.keep(ink),
                planes.keep(cells),
                planes.keep(openings),
                planes.keep(smallInk),
                planes.keep(smallCells));
    }
}
