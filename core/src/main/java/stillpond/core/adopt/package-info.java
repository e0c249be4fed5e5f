/**
 * Takes over flats that were laid elsewhere, by any means, from a picture of them.
 *
 * <p>A <em>solid</em> colour fills areas; an <em>edge</em> colour only lies where two others meet, as smoothed edges make it, and votes for nothing. Solid colours that are hard to tell
 * apart are one.
 */
package stillpond.core.adopt;
