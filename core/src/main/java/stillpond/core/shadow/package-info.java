/**
 * Shadows and rims: shapes that lie over the flats of a layer and belong to a <em>base</em>, some of its cells.
 *
 * <p>A shadow cuts the cells that it lies on into <em>pieces</em>: what of a cell lies under it, and how much of it covers there. Pieces are numbered on behind the cells, so whoever draws
 * cells by their numbers draws shadows too, and asks only once for each piece which colour it shows.
 */
package stillpond.core.shadow;
