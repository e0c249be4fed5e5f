package stillpond.core.check;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Something on a sheet that somebody should look at. */
public sealed interface Finding {

    /** The cells concerned, in rising order. */
    List<Integer> cells();

    /**
     * A region without a fill.
     *
     * @param likely what it nearly surely gets: the fill around most of its border; empty if there is none
     * @param isPocket whether it is small and mostly bounded by that fill
     */
    record Unfilled(List<Integer> cells, Optional<UUID> likely, boolean isPocket) implements Finding {
        public Unfilled {
            cells = List.copyOf(cells);
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
    }

    /** A colour that is on no card. */
    record OffCard(List<Integer> cells, UUID swatch) implements Finding {
        public OffCard {
            cells = List.copyOf(cells);
        }
    }
}
