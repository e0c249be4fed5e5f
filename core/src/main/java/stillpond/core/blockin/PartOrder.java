package stillpond.core.blockin;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.shape.Length;

/** The order in which colours step through the parts that something was divided into. */
public final class PartOrder {

    /** Middles that lie nearer together than this share of the largest part lie on each other: rings. */
    private static final double CONCENTRIC = 0.1;

    private PartOrder() {}

    /** A part. @param middle of its pixels @param box around them */
    public record Part(Point middle, Box box) {}

    /** Clockwise as one sees it, from the top on, by the middles of parts. @param centre that they lie around */
    public static List<Integer> around(List<Part> parts, Point centre) {
        return sorted(parts.size(), i -> {
            Point middle = parts.get(i).middle();
            double angle = Math.atan2(middle.x() - centre.x(), centre.y() - middle.y());
            return angle < 0 ? angle + 2 * Math.PI : angle;
        });
    }

    /** One after the other the way they follow each other: along the line that they spread most along, from the left or the top on; rings from the inside out. */
    public static List<Integer> along(List<Part> parts) {
        double x =
                parts.stream().mapToDouble(part -> part.middle().x()).average().orElse(0);
        double y =
                parts.stream().mapToDouble(part -> part.middle().y()).average().orElse(0);
        double largest =
                parts.stream().mapToDouble(part -> part.box().widthPx()).max().orElse(0);
        boolean areRings = parts.stream()
                .allMatch(part -> Length.of(part.middle().x() - x, part.middle().y() - y) < CONCENTRIC * largest);
        if (areRings) {
            return sorted(parts.size(), i -> parts.get(i).box().widthPx());
        }
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (Part part : parts) {
            xx += (part.middle().x() - x) * (part.middle().x() - x);
            xy += (part.middle().x() - x) * (part.middle().y() - y);
            yy += (part.middle().y() - y) * (part.middle().y() - y);
        }
        double angle = Math.atan2(2 * xy, xx - yy) / 2;
        double dx = Math.cos(angle);
        double dy = Math.sin(angle);
        boolean isBackwards = Math.abs(dx) >= Math.abs(dy) ? dx < 0 : dy < 0;
        double sign = isBackwards ? -1 : 1;
        return sorted(
                parts.size(),
                i -> sign
                        * (parts.get(i).middle().x() * dx
                                + parts.get(i).middle().y() * dy));
    }

    private interface Key {
        double of(int part);
    }

    private static List<Integer> sorted(int count, Key key) {
        return IntStream.range(0, count)
                .boxed()
                .sorted(Comparator.comparingDouble(key::of))
                .toList();
    }
}
