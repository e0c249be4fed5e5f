package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import stillpond.core.refusal.Refusal;

/** Forms as text, and back. */
final class FormText {

    private static final String DRAWN = "drawn ";
    private static final String SIDE = "side ";
    private static final String RIM = "rim ";
    private static final String GRAIN = "grain ";
    private static final String SOFT = "soft ";

    private FormText() {}

    static String of(Form form) {
        if (form instanceof Form.Drawn drawn) {
            StringBuilder text = new StringBuilder(DRAWN.strip());
            drawn.outline().knots().forEach(knot -> text.append(' ').append(knot.text()));
            return text.toString();
        }
        if (form instanceof Form.OneSide side) {
            return SIDE + Tenths.text(side.degrees()) + " " + Tenths.text(side.widthPx());
        }
        if (form instanceof Form.Grain grain) {
            return GRAIN + Tenths.text(grain.sizePx()) + " " + grain.seed();
        }
        if (form instanceof Form.SoftEdge soft) {
            return SOFT + Tenths.text(soft.widthPx());
        }
        Form.Rim rim = (Form.Rim) form;
        return RIM + Tenths.text(rim.widthPx()) + " " + rim.corners().name().toLowerCase(Locale.ROOT)
                + (rim.fillsHoles() ? " filled" : "") + (rim.liesUnder() ? " under" : "");
    }

    static Form read(String text) {
        if (text.startsWith(DRAWN)) {
            List<Knot> knots = new ArrayList<>();
            String[] parts = split(text.substring(DRAWN.length()), ' ');
            if (parts.length > Outline.MOST_KNOTS) {
                throw new Refusal("A shape has up to 1,000 points; this one has " + parts.length + ".");
            }
            for (String part : parts) {
                knots.add(Knot.ofText(part));
            }
            return new Form.Drawn(new Outline(knots));
        }
        String[] parts = split(text, ' ');
        if (text.startsWith(SIDE) && parts.length == 3) {
            return new Form.OneSide(Tenths.ofText(parts[1]), Tenths.ofText(parts[2]));
        }
        if (text.startsWith(GRAIN) && parts.length == 3) {
            return new Form.Grain(Tenths.ofText(parts[1]), (int) Tenths.ofText(parts[2]));
        }
        if (text.startsWith(SOFT) && parts.length == 2) {
            return new Form.SoftEdge(Tenths.ofText(parts[1]));
        }
        if (text.startsWith(RIM) && parts.length >= 3) {
            List<String> more = List.of(parts).subList(3, parts.length);
            return new Form.Rim(
                    Tenths.ofText(parts[1]), corners(parts[2]), more.contains("filled"), more.contains("under"));
        }
        throw new Refusal("This is no form of a shadow.");
    }

    private static Form.Corners corners(String text) {
        for (Form.Corners each : Form.Corners.values()) {
            if (each.name().toLowerCase(Locale.ROOT).equals(text)) {
                return each;
            }
        }
        throw new Refusal("'" + text + "' is no kind of corners.");
    }

    /** Without regular expressions, in one pass. */
    static String[] split(String text, char by) {
        List<String> parts = new ArrayList<>();
        int start = 0;
        for (int end = text.indexOf(by); end >= 0; end = text.indexOf(by, start)) {
            parts.add(text.substring(start, end));
            start = end + 1;
        }
        parts.add(text.substring(start));
        return parts.toArray(new String[0]);
    }
}
