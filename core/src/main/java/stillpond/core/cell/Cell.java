package stillpond.core.cell;

/**
 * What is known of one cell.
 *
 * @param number its number in the map, from 0
 * @param areaPx all its pixels, those under the ink included
 * @param box the box around all its pixels
 * @param deepestX column of its deepest point
 * @param deepestY row of its deepest point
 * @param depthPx distance from there to the middle of the nearest ink pixel, or to the row or column just outside the sheet
 */
public record Cell(int number, int areaPx, Box box, int deepestX, int deepestY, double depthPx) {}
