package stillpond.core.stroke;

import stillpond.core.cell.Box;

/**
 * A piece of ink between two junctions or ends.
 *
 * @param number its number in the map, from 0
 * @param inkPx its pixels of ink
 * @param box the box around them
 */
public record Stroke(int number, int inkPx, Box box) {}
