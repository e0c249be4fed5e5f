package stillpond.app.sheet;

import java.util.OptionalInt;

/**
 * A file of line art as somebody hands it over.
 *
 * @param name its name on their machine; only ever shown
 * @param vectorLongSidePx how long a vector drawing is to be drawn; empty: as long as the settings say
 */
public record LineArtFile(String name, byte[] content, OptionalInt vectorLongSidePx) {

    public static LineArtFile of(String name, byte[] content) {
        return new LineArtFile(name, content, OptionalInt.empty());
    }
}
