package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.teavm.jso.JSExport;
import stillpond.core.blockin.PartOrder;
import stillpond.core.cell.Box;
import stillpond.core.colour.Srgb;
import stillpond.core.gap.Point;
import stillpond.core.palette.SwatchSteps;

/** Swatches in even steps between others. A step that is one of those has its id, and no paint. */
public final class Ramps {

    private Ramps() {}

    /** @param swatches ids of two or more, in order, with their colours @param count of all steps */
    @JSExport
    public static TiedSwatch[] between(String[] swatches, String[] colours, int count) {
        return told(SwatchSteps.between(all(swatches, colours), count));
    }

    /** From each to the next and back to the first. @param between how many steps lie between two */
    @JSExport
    public static TiedSwatch[] circle(String[] swatches, String[] colours, int between) {
        return told(SwatchSteps.circle(all(swatches, colours), between));
    }

    /** Hues all around, of one lightness and chroma. */
    @JSExport
    public static TiedSwatch[] around(String swatch, String hex, int count) {
        return told(SwatchSteps.around(new SwatchSteps.From(UUID.fromString(swatch), Srgb.ofHex(hex)), count));
    }

    /**
     * The order in which colours step through parts.
     *
     * @param middles of the parts: x and y of each
     * @param widths of the boxes around them
     * @param clockwise around their middle, or else one after the other
     */
    @JSExport
    public static int[] order(double[] middles, int[] widths, boolean clockwise) {
        List<Point> places = Layer.points(middles);
        List<PartOrder.Part> parts = new ArrayList<>();
        double x = 0;
        double y = 0;
        for (int i = 0; i < widths.length; i++) {
            parts.add(new PartOrder.Part(places.get(i), new Box(0, 0, widths[i], widths[i])));
            x += places.get(i).x() / widths.length;
            y += places.get(i).y() / widths.length;
        }
        return Numbers.of(clockwise ? PartOrder.around(parts, new Point(x, y)) : PartOrder.along(parts));
    }

    private static List<SwatchSteps.From> all(String[] swatches, String[] colours) {
        List<SwatchSteps.From> all = new ArrayList<>();
        for (int i = 0; i < swatches.length; i++) {
            all.add(new SwatchSteps.From(UUID.fromString(swatches[i]), Srgb.ofHex(colours[i])));
        }
        return all;
    }

    private static TiedSwatch[] told(List<SwatchSteps.Step> steps) {
        return steps.stream()
                .map(step -> new TiedSwatch(
                        step.same().map(UUID::toString).orElse(""),
                        step.colour().hex(),
                        step.same().isPresent() ? "" : step.paint().text()))
                .toArray(TiedSwatch[]::new);
    }
}
