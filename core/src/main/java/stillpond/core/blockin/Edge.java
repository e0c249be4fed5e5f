package stillpond.core.blockin;

import stillpond.core.refusal.Refusal;

/**
 * The ink along the border of a shape.
 *
 * @param widthPx 0 for none, up to 200
 * @param isTapered whether it swells and thins as a brush does, from a third of its width where it begins and ends to all of it in between
 */
public record Edge(double widthPx, boolean isTapered) {

    public static final Edge NONE = new Edge(0, false);

    private static final double MOST_PX = 200;

    public Edge {
        if (!(widthPx >= 0 && widthPx <= MOST_PX)) {
            throw new Refusal("An outline is 0 to 200 pixels wide.");
        }
        widthPx = Math.round(widthPx * 10) / 10.0;
    }

    public boolean isDrawn() {
        return widthPx > 0;
    }
}
