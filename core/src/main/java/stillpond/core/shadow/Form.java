package stillpond.core.shadow;

import java.util.function.UnaryOperator;
import stillpond.core.gap.Point;
import stillpond.core.ink.Placing;
import stillpond.core.refusal.Refusal;

/** Where a shadow or a rim lies. Lengths are in pixels of the page. */
public sealed interface Form {

    double MOST_PX = 1000;

    /** The form that is stored and sent; docs/formats.md describes it. */
    default String text() {
        return FormText.of(this);
    }

    /**
     * Reads what {@link #text} wrote.
     *
     * @throws Refusal if it is no form
     */
    static Form ofText(String text) {
        return FormText.read(text);
    }

    /** The same on another drawing, or on a picture of another size. */
    Form placed(Placed placed);

    /**
     * How one drawing lies on another.
     *
     * @param points where each point comes to lie
     * @param scale how much longer lengths are there
     * @param turn by how much directions turn, in degrees, clockwise as one sees it
     * @param isMirrored whether it is seen in a mirror, left for right, before it is turned
     */
    record Placed(UnaryOperator<Point> points, double scale, double turn, boolean isMirrored) {

        public static Placed scaled(double factor) {
            return new Placed(point -> new Point(point.x() * factor, point.y() * factor), factor, 0, false);
        }

        /** @param there where the pixels of the other drawing of the same page lie in the one that forms are on */
        public static Placed seenFrom(Placing there) {
            return new Placed(
                    point -> new Point(
                            (point.x() - there.dxPx()) / there.xScale(), (point.y() - there.dyPx()) / there.yScale()),
                    2 / (there.xScale() + there.yScale()),
                    0,
                    false);
        }

        double direction(double degrees) {
            return (isMirrored ? 180 - degrees : degrees) + turn;
        }
    }

    /** A shape drawn over the base. */
    record Drawn(Outline outline) implements Form {
        @Override
        public Form placed(Placed placed) {
            return new Drawn(outline.placed(placed.points()));
        }
    }

    /**
     * What a copy of the base does not cover when it is moved away: a strip along one side.
     *
     * @param degrees of the side that it lies on: 0 right, 90 down; 0 to 360
     */
    record OneSide(double degrees, double widthPx) implements Form {
        public OneSide {
            degrees = ((Math.round(degrees) % 360) + 360) % 360;
            widthPx = Tenths.of(required(widthPx));
        }

        @Override
        public Form placed(Placed placed) {
            return new OneSide(placed.direction(degrees), widthPx * placed.scale());
        }
    }

    /**
     * An outline around the base, behind it.
     *
     * @param corners how it runs around corners
     * @param fillsHoles whether what the base encloses is covered too
     * @param liesUnder whether it also lies under the base, to be seen where that is clear
     */
    record Rim(double widthPx, Corners corners, boolean fillsHoles, boolean liesUnder) implements Form {
        public Rim {
            widthPx = Tenths.of(required(widthPx));
        }

        @Override
        public Form placed(Placed placed) {
            return new Rim(widthPx * placed.scale(), corners, fillsHoles, liesUnder);
        }
    }

    /**
     * Specks all over the base, as of a dry or chalky surface: smooth noise on a grid (K. Perlin, "An Image Synthesizer", SIGGRAPH 1985), of which the upper part shows. The same numbers
     * give the same specks everywhere.
     *
     * @param sizePx of a speck, about
     * @param seed 0 to 9999
     */
    record Grain(double sizePx, int seed) implements Form {
        private static final int MOST_SEED = 9999;

        public Grain {
            sizePx = Tenths.of(required(sizePx));
            if (seed < 0 || seed > MOST_SEED) {
                throw new Refusal("The seed of a grain is 0 to 9999.");
            }
        }

        @Override
        public Form placed(Placed placed) {
            return new Grain(sizePx * placed.scale(), seed);
        }
    }

    /** What lies near to the edge of the base, fading out towards its inside. */
    record SoftEdge(double widthPx) implements Form {
        public SoftEdge {
            widthPx = Tenths.of(required(widthPx));
        }

        @Override
        public Form placed(Placed placed) {
            return new SoftEdge(widthPx * placed.scale());
        }
    }

    enum Corners {
        ROUND,
        /** Sharp, up to the miter limit of SVG 2 (13.5.5), which is 4. */
        MITRED
    }

    private static double required(double widthPx) {
        if (!(widthPx > 0 && widthPx <= MOST_PX)) {
            throw new Refusal("A width is more than 0 and up to 1,000 pixels.");
        }
        return Math.max(0.1, widthPx);
    }
}
