package stillpond.core.blockin;

import java.util.UUID;
import stillpond.core.colour.ValueSteps;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

/**
 * How a reference picture lies on a sheet. It is seen while one works, and exported only where that is asked for.
 *
 * @param picture which one
 * @param x where its middle lies, in pixels of the sheet, as {@code y}
 * @param scale pixels of the sheet for one of the picture, 0.01 to 100
 * @param degrees that it is turned by, clockwise as one sees it
 * @param strengthPercent 5 to 100
 * @param look in its colours, in greys, or flattened to a few values
 * @param values that it is flattened to, 2 to 8
 */
public record Reference(
        UUID picture,
        double x,
        double y,
        double scale,
        double degrees,
        int strengthPercent,
        Look look,
        int values,
        boolean isHidden) {

    private static final double FURTHEST_PX = 100_000;
    private static final int FAINTEST = 5;

    public enum Look {
        COLOURS,
        GREYS,
        VALUES
    }

    public Reference {
        if (picture == null || look == null) {
            throw new Refusal("This does not say which reference picture is meant, or how it looks.");
        }
        if (!(Math.abs(x) <= FURTHEST_PX && Math.abs(y) <= FURTHEST_PX)) {
            throw new Refusal("The reference picture would lie too far from the sheet.");
        }
        if (!(scale >= 0.01 && scale <= 100)) {
            throw new Refusal("A reference picture is shown at 1 to 10,000 % of its size.");
        }
        if (!(Math.abs(degrees) <= 360)) {
            throw new Refusal("A reference picture is turned by up to 360 degrees.");
        }
        if (strengthPercent < FAINTEST || strengthPercent > 100) {
            throw new Refusal("A reference picture shows at 5 to 100 %.");
        }
        if (values < ValueSteps.FEWEST || values > ValueSteps.MOST) {
            throw new Refusal("A picture is flattened to 2 to 8 values.");
        }
    }

    /** As large as fits into a sheet, in its middle. */
    public static Reference fitting(
            UUID picture, int pictureWidth, int pictureHeight, int sheetWidth, int sheetHeight) {
        double scale = Math.min(sheetWidth / (double) pictureWidth, sheetHeight / (double) pictureHeight);
        return new Reference(
                picture,
                sheetWidth / 2.0,
                sheetHeight / 2.0,
                Math.max(0.01, Math.min(100, scale)),
                0,
                60,
                Look.COLOURS,
                4,
                false);
    }

    /** Where a place of the picture lies on the sheet. @param width of the picture in its pixels, as {@code height} */
    public Point onSheet(Point at, int width, int height) {
        double dx = (at.x() - width / 2.0) * scale;
        double dy = (at.y() - height / 2.0) * scale;
        double cos = Math.cos(Math.toRadians(degrees));
        double sin = Math.sin(Math.toRadians(degrees));
        return new Point(x + dx * cos - dy * sin, y + dx * sin + dy * cos);
    }

    /** Which place of the picture lies at one of the sheet. */
    public Point onPicture(Point at, int width, int height) {
        double cos = Math.cos(Math.toRadians(degrees));
        double sin = Math.sin(Math.toRadians(degrees));
        double dx = at.x() - x;
        double dy = at.y() - y;
        return new Point(width / 2.0 + (dx * cos + dy * sin) / scale, height / 2.0 + (dy * cos - dx * sin) / scale);
    }
}
