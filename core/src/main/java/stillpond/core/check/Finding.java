package stillpond.core.check;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.stroke.Stroke;

/** Something on a sheet that somebody should look at. */
public sealed interface Finding {

    /** The cells concerned, in rising order. */
    default List<Integer> cells() {
        return List.of();
    }

    /** The strokes concerned, in rising order. */
    default List<Stroke> strokes() {
        return List.of();
    }

    /** Whether it counts as something to check: a region that is simply not laid yet is counted as left, and nowhere twice. */
    default boolean isToCheck() {
        return true;
    }

    /** A name that stays the same from check to check as long as the same is found in the same cells of a layer. */
    String key();

    /** How a region without a fill looks. */
    enum Size {
        /** Small, and mostly bounded by one fill. */
        POCKET,
        /** Hardly larger than a stroke is wide. */
        SPECK,
        REGION
    }

    /**
     * A region without a fill.
     *
     * @param likely what it nearly surely gets: the fill around most of its border; empty if there is none
     */
    record Unfilled(List<Integer> cells, Optional<UUID> likely, Size size) implements Finding {
        public Unfilled {
            cells = List.copyOf(cells);
        }

        @Override
        public boolean isToCheck() {
            return size != Size.REGION;
        }

        @Override
        public String key() {
            return "unfilled " + cells.get(0);
        }
    }

    /**
     * A fill that reaches the outside.
     *
     * @param cells those that a dam would part from the outside
     * @param openings through which it runs, by index
     */
    record RunsOut(List<Integer> cells, List<Integer> openings) implements Finding {
        public RunsOut {
            cells = List.copyOf(cells);
            openings = List.copyOf(openings);
        }

        @Override
        public String key() {
            return "runs out " + cells.get(0);
        }
    }

    /**
     * Two regions with no ink between, in colours too near to tell apart.
     *
     * @param cells of the smaller one
     * @param swatch that it wears
     * @param other that its neighbour wears
     * @param difference CIEDE2000
     */
    record TooNear(List<Integer> cells, UUID swatch, UUID other, double difference) implements Finding {
        public TooNear {
            cells = List.copyOf(cells);
        }

        @Override
        public String key() {
            return "near " + cells.get(0) + " " + swatch + " " + other;
        }
    }

    /**
     * Two colours on the sheet that are too near to tell apart.
     *
     * @param cells that wear the one that less wears
     * @param swatch that one
     * @param other that more wears
     * @param difference CIEDE2000
     */
    record Twins(List<Integer> cells, UUID swatch, UUID other, double difference) implements Finding {
        public Twins {
            cells = List.copyOf(cells);
        }

        @Override
        public String key() {
            return "twins " + swatch + " " + other;
        }
    }

    /**
     * A colour that is on no card.
     *
     * @param cells that wear it, as {@code strokes}
     * @param meant a card colour near to it
     */
    record OffCard(List<Integer> cells, List<Stroke> strokes, UUID swatch, Optional<UUID> meant) implements Finding {
        public OffCard {
            cells = List.copyOf(cells);
            strokes = List.copyOf(strokes);
        }

        @Override
        public String key() {
            return "loose " + swatch;
        }
    }

    /** A colour on ink that is lighter than all that lies beside that ink. */
    record LightLine(List<Stroke> strokes, UUID swatch) implements Finding {
        public LightLine {
            strokes = List.copyOf(strokes);
        }

        @Override
        public String key() {
            return "light line " + swatch;
        }
    }

    /**
     * A gradient or pattern one of whose colours has no swatch any more: it is shown without that colour.
     *
     * @param cells all that wear it
     */
    record LostStop(List<Integer> cells) implements Finding {
        public LostStop {
            cells = List.copyOf(cells);
        }

        @Override
        public String key() {
            return "stop " + cells.get(0);
        }
    }
}
