/**
 * Cells: the smallest pieces of a sheet.
 *
 * <ol>
 *   <li>Every pixel belongs to exactly one <em>cell</em>.
 *   <li>A paper pixel belongs to the cell of its connected paper: pixels that share an edge are connected (4-connected), those
 *       that only touch at a corner are not.
 *   <li>An ink pixel belongs to the cell of the nearest paper pixel (Euclidean), so flats run on under the ink and no light
 *       hairline can appear between two fills.
 *   <li>Paper of fewer than {@link stillpond.core.cell.CellMap#MIN_PAPER_PX} pixels, such as a pinhole in a rough stroke, is no cell;
 *       it counts as ink.
 *   <li>Cells are numbered from 0 by their first paper pixel in reading order. The same ink gives the same numbers, on any machine
 *       and with any number of threads.
 * </ol>
 *
 * <p>A cell's <em>deepest point</em> is the paper pixel farthest from ink and from the edge of the sheet. Two cells are
 * <em>neighbours</em> if a pixel of one shares an edge with a pixel of the other; the number of such edges is the length of their
 * shared border.
 */
package stillpond.core.cell;
