package stillpond.core.format;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.handon.Face;
import stillpond.core.handon.Faces;
import stillpond.core.palette.Palette;
import stillpond.core.palette.SwatchColours;
import stillpond.core.refusal.Refusal;
import stillpond.core.render.InkShapes;
import stillpond.core.render.Motifs;
import stillpond.core.shape.PlanarMap;
import stillpond.core.shape.SmoothMap;
import stillpond.core.stack.Standing;

/**
 * A sheet as shapes: SVG 1.1 (W3C), with a group for each layer, in that one for each colour, part or kept group, and one for the ink. Neighbours share their borders; swatches are
 * classes of the style sheet.
 */
public final class SvgSheet {

    private static final int MOST_NODES = 400_000;
    private static final double FINEST_PX = 0.6;
    private static final double COARSEST_PX = 5;
    private static final int BLACK = 0xff000000;

    private final Page page;
    private final SvgPaints paints;
    private final SvgNames ids = new SvgNames();

    private SvgSheet(Page page) {
        this.page = page;
        this.paints = new SvgPaints(page.palette(), page.colours(), page.motifs(), ids);
    }

    /**
     * What is the same for all layers.
     *
     * @param title of the sheet
     * @param colours that swatches show there
     */
    public record Page(
            String title, int widthPx, int heightPx, Palette palette, SwatchColours colours, Motifs motifs) {}

    /** A layer that is shown. @param inkFills the fills that its ink wears, by their colours as 0xFFRRGGBB */
    public record Layer(Standing standing, CellPlane cells, Faces faces, InkShapes ink, Map<Integer, Fill> inkFills) {}

    /**
     * What a file came to.
     *
     * @param nodes how many curves and lines there are
     * @param tolerancePx how far borders may lie from those of the flats, beside half a pixel
     */
    public record Written(int nodes, double tolerancePx) {}

    /** The edges of a layer, as they are traced once. */
    private record Traced(List<PlanarMap.Edge> flats, List<PlanarMap.Edge> ink) {}

    /** As it is smoothed. */
    private record Smooth(SmoothMap flats, SmoothMap ink) {
        private int nodes() {
            return flats.nodes() + ink.nodes();
        }
    }

    /**
     * Leaves the stream open.
     *
     * @param layers from front to back
     * @throws Refusal if the sheet is too full of detail to be drawn as shapes
     */
    public static Written write(Page page, List<Layer> layers, OutputStream out) throws IOException {
        List<Traced> traced = layers.stream()
                .map(layer -> new Traced(
                        PlanarMap.edges(layer.cells(), layer.faces()::of),
                        PlanarMap.edges(layer.ink().plane(), ink -> ink)))
                .toList();
        double tolerance = FINEST_PX;
        List<Smooth> smooth = smoothed(traced, tolerance);
        while (nodes(smooth) > MOST_NODES) {
            tolerance *= 2;
            if (tolerance > COARSEST_PX) {
                throw new Refusal(String.format(
                        Locale.ROOT,
                        "'%s' has too much detail for shapes: %,d nodes even when drawn coarsely, up to %,d can be handed on. Hand it on as PNG, or join some of its regions.",
                        page.title(),
                        nodes(smooth),
                        MOST_NODES));
            }
            smooth = smoothed(traced, tolerance);
        }
        Written written = new Written(nodes(smooth), tolerance);
        out.write(new SvgSheet(page).document(layers, smooth, written).getBytes(StandardCharsets.UTF_8));
        return written;
    }

    private static List<Smooth> smoothed(List<Traced> traced, double tolerance) {
        return traced.stream()
                .map(each ->
                        new Smooth(SmoothMap.smooth(each.flats(), tolerance), SmoothMap.smooth(each.ink(), tolerance)))
                .toList();
    }

    private static int nodes(List<Smooth> layers) {
        return layers.stream().mapToInt(Smooth::nodes).sum();
    }

    private String document(List<Layer> layers, List<Smooth> smooth, Written written) {
        StringBuilder body = new StringBuilder();
        for (int i = layers.size() - 1; i >= 0; i--) {
            layer(body, layers.get(i), smooth.get(i), layers.size() > 1);
        }
        String size = String.format(
                "width=\"%1$d\" height=\"%2$d\" viewBox=\"0 0 %1$d %2$d\"", page.widthPx(), page.heightPx());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" "
                + size
                + ">\n<title>"
                + SvgNames.text(page.title())
                + "</title>\n<desc>"
                + String.format(
                        Locale.ROOT,
                        "Borders lie within %.1f pixels of those of the flats. Each swatch is a class of the style sheet.",
                        written.tolerancePx() + 0.5)
                + "</desc>\n<style>\n"
                + paints.rules()
                + "</style>\n<defs>\n"
                + paints.definitions()
                + "</defs>\n<path id=\"paper\" fill=\"#fff\" d=\"M0 0H"
                + page.widthPx()
                + "V"
                + page.heightPx()
                + "H0Z\"/>\n"
                + body
                + "</svg>\n";
    }

    private void layer(StringBuilder out, Layer layer, Smooth smooth, boolean isOneOfMany) {
        Standing standing = layer.standing();
        out.append("<g id=\"")
                .append(ids.unique(isOneOfMany ? standing.name() : "drawing"))
                .append('"');
        if (standing.xPx() != 0 || standing.yPx() != 0) {
            out.append(" transform=\"translate(")
                    .append(standing.xPx())
                    .append(' ')
                    .append(standing.yPx())
                    .append(")\"");
        }
        if (standing.opacityPercent() < 100) {
            out.append(" opacity=\"").append(standing.opacityPercent() / 100.0).append('"');
        }
        out.append(">\n");
        if (isOneOfMany) {
            title(out, standing.name());
        }
        flats(out, layer.faces(), smooth.flats());
        ink(out, layer, smooth.ink());
        out.append("</g>\n");
    }

    /** Without antialiasing, which would let the paper shine through where two shapes meet. */
    private void flats(StringBuilder out, Faces faces, SmoothMap map) {
        out.append("<g id=\"").append(ids.unique("flats")).append("\" shape-rendering=\"crispEdges\">\n");
        List<String> backToFront = new ArrayList<>(faces.groups());
        Collections.reverse(backToFront);
        for (String group : backToFront) {
            out.append("<g id=\"").append(ids.unique(group)).append("\">");
            title(out, group);
            for (int number : faces.in(group)) {
                Face face = faces.all().get(number - 1);
                Optional<String> paint = paints.of(face.fill());
                if (paint.isPresent()) {
                    out.append("<path id=\"").append(ids.unique(face.name())).append("\" ");
                    path(out, paint.get(), map, number);
                }
            }
            out.append("</g>\n");
        }
        out.append("</g>\n");
    }

    private void ink(StringBuilder out, Layer layer, SmoothMap map) {
        out.append("<g id=\"").append(ids.unique("ink")).append("\">\n");
        int[] argb = layer.ink().argb();
        for (int i = 0; i < argb.length; i++) {
            int colour = argb[i];
            String name = colour == BLACK ? "ink black" : String.format("ink %06x", colour & 0xffffff);
            String paint = Optional.ofNullable(layer.inkFills().get(argb[i]))
                    .flatMap(paints::of)
                    .orElseGet(() -> paints.even(name, colour));
            out.append("<path ");
            path(out, paint, map, i + 1);
        }
        out.append("</g>\n");
    }

    private static void path(StringBuilder out, String paint, SmoothMap map, int face) {
        out.append(paint).append(" fill-rule=\"evenodd\" d=\"");
        SvgPath.append(out, map.around(face));
        out.append("\"/>\n");
    }

    private static void title(StringBuilder out, String text) {
        out.append("<title>").append(SvgNames.text(text)).append("</title>\n");
    }
}
