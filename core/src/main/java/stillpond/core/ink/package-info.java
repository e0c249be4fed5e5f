/**
 * The ink of line art.
 *
 * <p>A {@link stillpond.core.ink.Picture} is decoded line art. Its {@link stillpond.core.ink.InkPlane} says for every pixel
 * how much ink lies there (0, bare paper, to 255) and from which density on a pixel counts as ink. {@link
 * stillpond.core.ink.InkFinder} makes the one from the other. Ink is never altered by anything that comes later.
 */
package stillpond.core.ink;
