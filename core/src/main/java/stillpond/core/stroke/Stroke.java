package stillpond.core.stroke;

import java.util.List;
import stillpond.core.cell.Box;

/**
 * A piece of ink between two junctions or ends, as it lies on its page.
 *
 * @param number its number in the map, from 0
 * @param inkPx how much ink it has, in pixels of solid ink
 * @param box the box around it and its soft edge
 * @param sides what lies beside it, the most of it first
 */
public record Stroke(int number, double inkPx, Box box, List<Side> sides) {

    public Stroke {
        sides = List.copyOf(sides);
    }

    /**
     * @param cell one that lies beside the stroke
     * @param share of the stroke's edge that borders it, 0 to 1
     */
    public record Side(int cell, double share) {}
}
