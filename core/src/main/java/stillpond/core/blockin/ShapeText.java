package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;

/**
 * Shapes as text, and back: {@code 7 w4.5t: 10,10! 20,10! 20,20!; 12,12 …} is shape 7 with a tapered outline 4.5 pixels wide, a border of three corners and a hole; {@code line 7: 0,0! 5,5!} a line that does not
 * meet. Knots are written as those of shadows are.
 */
public final class ShapeText {

    /** What is longer is no list of shapes of ours. */
    private static final int MOST_CHARS = 16_000_000;

    private static final String LINE = "line ";

    private ShapeText() {}

    public static String of(Shape shape) {
        StringBuilder text = new StringBuilder().append(shape.number());
        if (shape.edge().isDrawn()) {
            text.append(" w")
                    .append(tenths(shape.edge().widthPx()))
                    .append(shape.edge().isTapered() ? "t" : "");
        }
        text.append(':');
        for (int i = 0; i < shape.loops().size(); i++) {
            text.append(i == 0 ? "" : ";");
            append(shape.loops().get(i).knots(), text);
        }
        return text.toString();
    }

    public static String of(LooseLine line) {
        StringBuilder text = new StringBuilder(LINE).append(line.shape()).append(':');
        append(line.knots(), text);
        return text.toString();
    }

    /** One a line, from back to front; lines that do not meet come last. */
    public static String of(Shapes shapes) {
        StringBuilder text = new StringBuilder();
        shapes.all().forEach(shape -> text.append(of(shape)).append('\n'));
        shapes.lines().forEach(line -> text.append(of(line)).append('\n'));
        return text.toString();
    }

    private static void append(List<Knot> knots, StringBuilder text) {
        knots.forEach(knot -> text.append(' ').append(knot.text()));
    }

    private static String tenths(double width) {
        long tenths = Math.round(width * 10);
        return tenths % 10 == 0 ? String.valueOf(tenths / 10) : tenths / 10 + "." + tenths % 10;
    }

    /** @throws Refusal if it is none */
    public static Shape shape(String text) {
        int colon = colon(text);
        List<String> head = split(text.substring(0, colon), ' ');
        List<Outline> loops = new ArrayList<>();
        for (String loop : split(text.substring(colon + 1), ';')) {
            loops.add(new Outline(knots(loop, Outline.MOST_KNOTS)));
        }
        return new Shape(number(head.get(0)), loops, head.size() > 1 ? edge(head.get(1)) : Edge.NONE);
    }

    /** @throws Refusal if it is none */
    public static LooseLine line(String text) {
        int colon = colon(text);
        if (!text.startsWith(LINE)) {
            throw new Refusal("This is no line of a shape.");
        }
        return new LooseLine(
                number(text.substring(LINE.length(), colon)), knots(text.substring(colon + 1), Outline.MOST_KNOTS));
    }

    /** @throws Refusal if it is none */
    public static Shapes shapes(String text) {
        if (text.length() > MOST_CHARS) {
            throw new Refusal("These are more shapes than a layer holds.");
        }
        List<Shape> shapes = new ArrayList<>();
        List<LooseLine> lines = new ArrayList<>();
        for (String each : split(text, '\n')) {
            if (each.startsWith(LINE)) {
                lines.add(line(each));
            } else if (!each.isEmpty()) {
                shapes.add(shape(each));
            }
        }
        return new Shapes(shapes, lines);
    }

    private static int colon(String text) {
        int colon = text.indexOf(':');
        if (colon < 0) {
            throw new Refusal("This is no shape.");
        }
        return colon;
    }

    private static List<Knot> knots(String text, int most) {
        List<Knot> knots = new ArrayList<>();
        for (String each : split(text, ' ')) {
            if (!each.isEmpty()) {
                knots.add(Knot.ofText(each));
            }
            if (knots.size() > most) {
                throw new Refusal("A shape has up to 1,000 points on each of its borders.");
            }
        }
        return knots;
    }

    private static Edge edge(String text) {
        boolean isTapered = text.endsWith("t");
        String width = text.substring(0, text.length() - (isTapered ? 1 : 0));
        try {
            if (width.startsWith("w") && width.length() < 8) {
                return new Edge(Double.parseDouble(width.substring(1)), isTapered);
            }
        } catch (NumberFormatException e) {
            throw new Refusal("'" + width + "' is no width of an outline.");
        }
        throw new Refusal("This is no outline of a shape.");
    }

    private static int number(String text) {
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException e) {
            throw new Refusal("This is no number of a shape.");
        }
    }

    private static List<String> split(String text, char by) {
        List<String> parts = new ArrayList<>();
        int start = 0;
        for (int end = text.indexOf(by); end >= 0; end = text.indexOf(by, start)) {
            parts.add(text.substring(start, end));
            start = end + 1;
        }
        parts.add(text.substring(start));
        return parts;
    }
}
