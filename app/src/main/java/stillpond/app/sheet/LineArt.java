package stillpond.app.sheet;

import java.io.DataInput;
import java.io.DataOutput;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import stillpond.core.blockin.ShapeMap;
import stillpond.core.cell.CellMap;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.UnreadableFile;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.gap.ThinnedInk;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;
import stillpond.core.ink.Picture;
import stillpond.core.ink.StrokeWidth;
import stillpond.core.render.SmallSheet;
import stillpond.core.stack.VisibleInk;
import stillpond.core.stroke.StrokeMap;

/**
 * Line art, analysed and in the forms in which it is kept.
 *
 * @param analysisVersion see {@link Openings#VERSION}
 * @param strokes null while its ink is not cut into strokes, or if there are none
 * @param isThrough whether its cells are bounded by ink of other layers too
 */
record LineArt(
        int analysisVersion,
        InkSettings settings,
        int widthPx,
        int heightPx,
        int[] regions,
        int[] areas,
        double reach,
        byte[] ink,
        byte[] cells,
        byte[] openings,
        byte[] smallInk,
        byte[] smallCells,
        @Nullable CutInk strokes,
        boolean isThrough) {

    private static final int UNSHARPENED = 0;
    private static final int LEFT_TO_US = -1;

    /** Sharp in a strip of sheets on a dense display. */
    static final int SMALL_LONG_SIDE_PX = 480;

    /**
     * @param others the ink of other layers that bounds its cells too
     * @throws UnreadableFile if it holds nothing to fill or nothing that bounds a fill
     */
    static LineArt analyse(Picture picture, InkSettings settings, List<VisibleInk.Other> others) {
        InkPlane ink = ink(picture, settings);
        ThinnedInk thinned = ThinnedInk.of(ink);
        CompletableFuture<StrokeMap> strokes = CompletableFuture.supplyAsync(() -> StrokeMap.of(ink, thinned));
        Openings openings = others.isEmpty() ? Openings.of(ink, thinned) : through(VisibleInk.of(ink, others));
        CutInk cut = CutInk.of(strokes.join(), openings.strokePx()).orElse(null);
        return of(ink, settings, openings, Openings.VERSION, cut, !others.isEmpty());
    }

    private static Openings through(InkPlane visible) {
        return Openings.of(visible, ThinnedInk.of(visible));
    }

    /** Only cut along its ink, which is quick; its gaps are still to be found. @throws UnreadableFile as {@link #analyse} */
    static LineArt glance(Picture picture) {
        return glance(ink(picture, InkSettings.AUTOMATIC));
    }

    /** Likewise; empty if it holds nothing to fill or nothing that bounds a fill. */
    static Optional<LineArt> glanceIfDrawn(Picture picture) {
        InkPlane ink = InkFinder.find(picture, InkSettings.AUTOMATIC);
        int inkPixels = ink.inkPixels();
        return inkPixels == 0 || inkPixels == ink.density().length ? Optional.empty() : Optional.of(glance(ink));
    }

    private static LineArt glance(InkPlane ink) {
        Openings none = new Openings(CellMap.of(ink), List.of(), StrokeWidth.of(ink), 1, false);
        return of(ink, InkSettings.AUTOMATIC, none, UNSHARPENED, null, false);
    }

    private static InkPlane ink(Picture picture, InkSettings settings) {
        InkPlane ink = InkFinder.find(picture, settings);
        requireSomethingToFill(ink);
        return ink;
    }

    private static LineArt of(
            InkPlane ink,
            InkSettings settings,
            Openings openings,
            int version,
            @Nullable CutInk strokes,
            boolean isThrough) {
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
                PlaneCodec.encode(ink),
                PlaneCodec.encode(map),
                OpeningsCodec.encode(openings),
                PlaneCodec.encode(small.ink()),
                PlaneCodec.encode(small.cells()),
                strokes,
                isThrough);
    }

    /** What shapes make: cells without openings, and their outlines as strokes of their numbers. */
    static LineArt ofShapes(ShapeMap shapes) {
        Openings none = new Openings(shapes.map(), List.of(), ShapeStrokes.NO_STROKE_PX, 1, false);
        CutInk strokes = ShapeStrokes.of(shapes).orElse(null);
        return of(shapes.ink(), InkSettings.AUTOMATIC, none, Openings.VERSION, strokes, false);
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

    /** @param source the file that it was made from, on a page of its own */
    LayerPlanes keepIn(Planes planes, byte[] source) {
        return keepIn(planes, source, Planes.nameOf(source));
    }

    /** @param origin the file on whose page its pixels lie */
    LayerPlanes keepIn(Planes planes, byte[] source, String origin) {
        return new LayerPlanes(
                analysisVersion,
                settings,
                widthPx,
                heightPx,
                regions,
                areas,
                reach,
                planes.keep(source),
                origin,
                planes.keep(ink),
                planes.keep(cells),
                planes.keep(openings),
                planes.keep(smallInk),
                planes.keep(smallCells),
                strokes == null ? null : strokes.keepIn(planes),
                isThrough,
                false);
    }

    void write(DataOutput out) throws IOException {
        out.writeInt(analysisVersion);
        writeSettings(settings, out);
        out.writeInt(widthPx);
        out.writeInt(heightPx);
        writeNumbers(regions, out);
        writeNumbers(areas, out);
        out.writeDouble(reach);
        for (byte[] plane : List.of(ink, cells, openings, smallInk, smallCells)) {
            writePlane(plane, out);
        }
        CutInk.write(strokes, out);
        out.writeBoolean(isThrough);
    }

    static LineArt read(DataInput in) throws IOException {
        return new LineArt(
                in.readInt(),
                readSettings(in),
                in.readInt(),
                in.readInt(),
                readNumbers(in),
                readNumbers(in),
                in.readDouble(),
                readPlane(in),
                readPlane(in),
                readPlane(in),
                readPlane(in),
                readPlane(in),
                CutInk.read(in),
                in.readBoolean());
    }

    static void writeSettings(InkSettings settings, DataOutput out) throws IOException {
        out.writeInt(settings.threshold().orElse(LEFT_TO_US));
        out.writeInt(settings.speckPx().orElse(LEFT_TO_US));
        out.writeUTF(settings.pencil().name());
    }

    static InkSettings readSettings(DataInput in) throws IOException {
        return new InkSettings(optional(in.readInt()), optional(in.readInt()), Pencil.valueOf(in.readUTF()));
    }

    private static OptionalInt optional(int value) {
        return value == LEFT_TO_US ? OptionalInt.empty() : OptionalInt.of(value);
    }

    private static void writeNumbers(int[] numbers, DataOutput out) throws IOException {
        out.writeInt(numbers.length);
        for (int number : numbers) {
            out.writeInt(number);
        }
    }

    private static int[] readNumbers(DataInput in) throws IOException {
        int[] numbers = new int[in.readInt()];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = in.readInt();
        }
        return numbers;
    }

    static void writePlane(byte[] plane, DataOutput out) throws IOException {
        out.writeInt(plane.length);
        out.write(plane);
    }

    static byte[] readPlane(DataInput in) throws IOException {
        byte[] plane = new byte[in.readInt()];
        in.readFully(plane);
        return plane;
    }
}
