package stillpond.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Span;
import stillpond.core.fill.Stop;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Palette;
import stillpond.core.palette.SwatchColours;
import stillpond.core.render.FillColours;
import stillpond.core.render.Motif;
import stillpond.core.render.Motifs;
import stillpond.core.shape.SmoothMap;

/** How the fills of an SVG are written: a class for each swatch and tone, so that one rule recolours all that wears it; gradients and patterns as such. */
final class SvgPaints {

    /** Between two stops colours run in OKLab, while SVG runs them in sRGB; so many stops between are hardly told from that. */
    private static final int STEPS_BETWEEN = 8;

    private static final double MOTIF_TOLERANCE = 0.8;

    private final Palette palette;
    private final SwatchColours colours;
    private final Motifs motifs;
    private final SvgNames ids;
    private final SvgNames classNames = new SvgNames();
    private final Map<String, String> classes = new LinkedHashMap<>();
    private final StringBuilder rules = new StringBuilder();
    private final StringBuilder shared = new StringBuilder();
    private final Map<Fill, String> attributes = new LinkedHashMap<>();

    /** @param ids that are taken in the file */
    SvgPaints(Palette palette, SwatchColours colours, Motifs motifs, SvgNames ids) {
        this.palette = palette;
        this.colours = colours;
        this.motifs = motifs;
        this.ids = ids;
    }

    /** The style sheet, after all fills were asked for. */
    String rules() {
        return rules.toString();
    }

    /** What gradients and patterns are defined as, after all fills were asked for. */
    String definitions() {
        return shared.toString();
    }

    /** The attributes that make a shape look like a fill; none if its swatches are gone. */
    Optional<String> of(Fill fill) {
        String known = attributes.computeIfAbsent(fill, this::written);
        return known.isEmpty() ? Optional.empty() : Optional.of(known);
    }

    /** The class of one even colour that is worn by no fill. */
    String even(String name, int argb) {
        return "class=\"" + ruled(name, name, argb) + "\"";
    }

    private String written(Fill fill) {
        boolean isGone = fill.swatches().stream()
                .allMatch(swatch -> colours.colourOf(swatch).isEmpty());
        if (isGone) {
            return "";
        }
        if (fill instanceof Fill.Gradient gradient) {
            return url(gradient(gradient), gradient.opacity().percent());
        }
        if (fill instanceof Fill.Pattern pattern) {
            return motifs.find(pattern.motif())
                    .map(motif -> url(pattern(pattern, motif), pattern.opacity().percent()))
                    .orElse("");
        }
        int argb = FillColours.of(fill, colours).argb()[0];
        if (fill instanceof Fill.Tone tone) {
            return "class=\"" + ruled(fill.text(), name(tone.swatch()) + " " + tone.percent(), argb) + "\"";
        }
        int percent = fill instanceof Fill.Flat flat ? flat.opacity().percent() : 100;
        return "class=\"" + swatch(fill.swatches().get(0)) + "\"" + opacity(percent);
    }

    private static String url(String id, int percent) {
        return "fill=\"url(#" + id + ")\"" + opacity(percent);
    }

    private static String opacity(int percent) {
        return percent == 100 ? "" : " fill-opacity=\"" + percent / 100.0 + "\"";
    }

    private String name(UUID swatch) {
        return FillNames.withCard(Fill.flat(swatch), palette);
    }

    private String swatch(UUID id) {
        return ruled(
                id.toString(),
                name(id),
                colours.colourOf(id).map(Srgb::opaqueArgb).orElse(0));
    }

    private String ruled(String key, String name, int argb) {
        return classes.computeIfAbsent(key, any -> {
            String unique = classNames.unique(name);
            String hex = hex(argb);
            rules.append('.')
                    .append(unique)
                    .append("{fill:")
                    .append(hex)
                    .append(";stop-color:")
                    .append(hex)
                    .append("}\n");
            return unique;
        });
    }

    private static String hex(int argb) {
        return String.format(Locale.ROOT, "#%06x", argb & 0xffffff);
    }

    private String gradient(Fill.Gradient gradient) {
        String id = ids.unique("gradient");
        Span span = gradient.span();
        boolean isLinear = gradient.course() == Fill.Course.LINEAR;
        String place = isLinear
                ? String.format(
                        Locale.ROOT,
                        "x1=\"%d\" y1=\"%d\" x2=\"%d\" y2=\"%d\"",
                        span.x1(),
                        span.y1(),
                        span.x2(),
                        span.y2())
                : String.format(Locale.ROOT, "cx=\"%d\" cy=\"%d\" r=\"%.2f\"", span.x1(), span.y1(), span.lengthPx());
        String element = isLinear ? "linearGradient" : "radialGradient";
        StringBuilder stops = new StringBuilder();
        int[] along = FillColours.of(gradient, colours).argb();
        List<Stop> known = gradient.stops().stream()
                .filter(stop -> colours.colourOf(stop.swatch()).isPresent())
                .toList();
        for (int i = 0; i < known.size(); i++) {
            Stop stop = known.get(i);
            stops.append(String.format(
                    Locale.ROOT, "<stop offset=\"%d%%\" class=\"%s\"/>", stop.percent(), swatch(stop.swatch())));
            for (int step = 1; i + 1 < known.size() && step < STEPS_BETWEEN; step++) {
                double percent =
                        stop.percent() + (known.get(i + 1).percent() - stop.percent()) * step / (double) STEPS_BETWEEN;
                int argb = along[(int) Math.round(percent / 100 * (along.length - 1))];
                stops.append(
                        String.format(Locale.ROOT, "<stop offset=\"%.2f%%\" stop-color=\"%s\"/>", percent, hex(argb)));
            }
        }
        shared.append(String.format(
                "<%s id=\"%s\" gradientUnits=\"userSpaceOnUse\" %s>%s</%s>%n", element, id, place, stops, element));
        return id;
    }

    /** The motif itself as shapes, which share their borders as all others do. */
    private String pattern(Fill.Pattern pattern, Motif motif) {
        String id = ids.unique("pattern");
        Span span = pattern.span();
        double side = span.lengthPx();
        double height = side * pattern.repeat().heightPercent() / 100;
        double turn = Math.toDegrees(Math.atan2((double) span.y2() - span.y1(), (double) span.x2() - span.x1()));
        shared.append(String.format(
                Locale.ROOT,
                "<pattern id=\"%s\" patternUnits=\"userSpaceOnUse\" width=\"%.3f\" height=\"%.3f\" patternTransform=\"translate(%d %d) rotate(%.3f) scale(%d %d)\">"
                        + "<g transform=\"scale(%.6f %.6f)\">",
                id,
                side,
                height,
                span.x1(),
                span.y1(),
                turn,
                pattern.repeat().mirrored() ? -1 : 1,
                pattern.repeat().flipped() ? -1 : 1,
                side / Motif.SIDE,
                height / Motif.SIDE));
        List<UUID> inks = pattern.inks().stream()
                .filter(ink -> colours.colourOf(ink).isPresent())
                .toList();
        CellPlane places = new CellPlane(Motif.SIDE, Motif.SIDE, motif.strongest());
        SmoothMap map = SmoothMap.of(places, ink -> ink, MOTIF_TOLERANCE);
        shared.append(String.format(
                "<path class=\"%s\" d=\"M0 0H%d V%d H0Z\"/>", swatch(inks.get(0)), Motif.SIDE, Motif.SIDE));
        for (int ink = 1; ink < motif.inks(); ink++) {
            shared.append("<path class=\"")
                    .append(swatch(inks.get(Math.min(ink, inks.size() - 1))))
                    .append("\" fill-rule=\"evenodd\" d=\"");
            SvgPath.append(shared, map.around(ink));
            shared.append("\"/>");
        }
        shared.append(String.format("</g></pattern>%n"));
        return id;
    }
}
