/**
 * The working palette.
 *
 * <p>A <em>card</em> is a character's (or a place's) named colours; each row of it is a <em>swatch</em>. Fills refer to swatches, never to
 * colours, so one edit of a swatch recolours whatever wears it.
 */
package stillpond.core.palette;
