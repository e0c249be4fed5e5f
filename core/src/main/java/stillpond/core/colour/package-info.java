/**
 * Colours as values.
 *
 * <p>Colours of swatches are <em>sRGB</em> (IEC 61966-2-1) with 8 bits a channel, because that is what flats are handed on
 * in. Whatever calculates with light does so in linear light.
 */
package stillpond.core.colour;
