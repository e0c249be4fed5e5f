package stillpond.core.format;

/**
 * A layer of a file that has several.
 *
 * @param file a picture of the layer alone, in a form that {@link LineArtReader} reads
 * @param xPx where its left edge lies on the page, in pixels; {@code yPx} its upper one
 */
public record FileLayer(String name, byte[] file, int xPx, int yPx, int opacityPercent, boolean isHidden) {}
