package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/**
 * A swatch to be made, tied to one or two others.
 *
 * @param same the id of the swatch that is there for it already, or nothing
 */
public record TiedSwatch(
        @JSExport @JSProperty("same") String same,
        @JSExport @JSProperty("colour") String colour,
        @JSExport @JSProperty("paint") String paint) {}
