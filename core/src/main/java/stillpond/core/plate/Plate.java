package stillpond.core.plate;

/**
 * What one ink prints.
 *
 * @param ink its name
 * @param coverage of each pixel, row by row: 0 none, 255 all of it
 */
public record Plate(String ink, byte[] coverage) {}
