package stillpond.browser;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.teavm.jso.JSExport;
import stillpond.core.cell.Box;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.line.DarkerThanBeside;
import stillpond.core.line.InkBeside;
import stillpond.core.palette.Paint;
import stillpond.core.render.MeetingTaps;
import stillpond.core.stroke.InkWidths;
import stillpond.core.stroke.Stroke;
import stillpond.core.stroke.StrokeMap;

/** The strokes of the layer that is open, and what lies beside them. */
public final class SheetStrokes {

    private final List<Stroke> strokes = new ArrayList<>();

    @JSExport
    public SheetStrokes() {}

    /**
     * One more, numbered after the others.
     *
     * @param box x and y of its first corner, then those behind its last
     * @param cells those beside it
     * @param shares of its edge that border each
     */
    @JSExport
    public void add(double inkPx, int[] box, int[] cells, double[] shares) {
        List<Stroke.Side> sides = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            sides.add(new Stroke.Side(cells[i], shares[i]));
        }
        strokes.add(new Stroke(strokes.size(), inkPx, new Box(box[0], box[1], box[2], box[3]), sides));
    }

    /** Those inside or around some cells. */
    @JSExport
    public int[] touching(int[] cells) {
        return Numbers.of(InkBeside.touching(strokes, Numbers.setOf(cells)));
    }

    /** Those that have nothing but these cells beside them. */
    @JSExport
    public int[] inside(int[] cells) {
        return Numbers.of(InkBeside.inside(strokes, Numbers.setOf(cells)));
    }

    /**
     * Which strokes get the colour of which swatch beside them, made darker.
     *
     * @param meant the strokes to look at
     * @param basis DARKER or LARGER
     * @param fills by cell
     * @param areas of the region of each cell
     * @param swatches all that there are, with their colours in {@code hexes}
     */
    @JSExport
    public InkSource[] darkerThanBeside(
            int[] meant,
            String basis,
            boolean alsoAgainstNothing,
            String[] fills,
            double[] areas,
            String[] swatches,
            String[] hexes) {
        Map<UUID, Srgb> colours = new LinkedHashMap<>();
        for (int i = 0; i < swatches.length; i++) {
            colours.put(UUID.fromString(swatches[i]), Srgb.ofHex(hexes[i]));
        }
        Map<UUID, List<Integer>> strokesBySource = new LinkedHashMap<>();
        new DarkerThanBeside(
                        DarkerThanBeside.Basis.valueOf(basis),
                        alsoAgainstNothing,
                        cell -> Fill.ofText(fills[cell]),
                        cell -> areas[cell],
                        swatch -> Optional.ofNullable(colours.get(swatch)))
                .sources(Arrays.stream(meant).mapToObj(strokes::get).toList())
                .forEach((stroke, source) -> strokesBySource
                        .computeIfAbsent(source, swatch -> new ArrayList<>())
                        .add(stroke));
        return strokesBySource.entrySet().stream()
                .map(each -> new InkSource(each.getKey().toString(), Numbers.of(each.getValue())))
                .toArray(InkSource[]::new);
    }

    /** The swatch that is another one made darker. @param amount of lightness in OKLab, 0 to 1 */
    @JSExport
    public static TiedSwatch darker(String source, String hex, double amount) {
        Srgb colour = Srgb.ofHex(hex);
        Paint.Tied paint = DarkerThanBeside.darker(UUID.fromString(source), amount);
        return new TiedSwatch("", paint.tie().of(colour, other -> colour).hex(), paint.text());
    }

    /** The swatch that is tied so already; null if there is none. @param paint as {@link #darker} gave it @param swatches all that there are, painted as in {@code paints} */
    @JSExport
    public static @Nullable String knownDarker(String paint, String[] swatches, String[] paints) {
        Map<UUID, Paint> known = new LinkedHashMap<>();
        for (int i = 0; i < swatches.length; i++) {
            known.put(UUID.fromString(swatches[i]), Paint.ofText(paints[i]));
        }
        return Paint.ofText(paint) instanceof Paint.Tied darker
                ? DarkerThanBeside.among(known, darker).map(UUID::toString).orElse(null)
                : null;
    }

    /** What that swatch is called. @param name of the one that it follows */
    @JSExport
    public static String nameOfDarker(String name) {
        return DarkerThanBeside.nameOf(name);
    }

    /**
     * The density of ink as it is shown: wider or narrower than it was drawn.
     *
     * @param width of the picture
     * @param density by pixel, row by row, 0 to 255
     * @param strokes the stroke of each pixel
     * @param tenths by stroke, of the width of a stroke that it is shown wider
     * @param strokePx how wide strokes are, in pixels of the picture
     */
    @JSExport
    public static byte[] shownInk(int width, byte[] density, int[] strokes, int[] tenths, double strokePx) {
        double[] radii = new double[tenths.length];
        for (int stroke = 0; stroke < radii.length; stroke++) {
            radii[stroke] = InkWidths.radius(tenths[stroke], strokePx);
        }
        return InkWidths.shown(width, density.length / width, density, pixel -> strokes[pixel], radii);
    }

    /** How much of a pixel ink covers that wears a swatch, 0 to 255. @param dense the density of the ink there @param solid that of its stroke where it is solid */
    @JSExport
    public static int coverage(int dense, int solid) {
        return StrokeMap.coverage(dense, solid);
    }

    /** How a width is written as what a stroke wears; {@code none} for as it was drawn. */
    @JSExport
    public static String widthText(int tenths) {
        return tenths == 0 ? Fill.NONE.text() : new Fill.Width(tenths).text();
    }

    /** The tenths of what {@link #widthText} wrote. */
    @JSExport
    public static int tenths(String text) {
        return Fill.ofText(text) instanceof Fill.Width width ? width.tenths() : 0;
    }

    /** Where, around a place in a disc of radius 1, the colours are looked up whose mean ink shows there; across, then down, one after the other. */
    @JSExport
    public static double[] meetingTaps() {
        return MeetingTaps.inUnitDisc();
    }
}
