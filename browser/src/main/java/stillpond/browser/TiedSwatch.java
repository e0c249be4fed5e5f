package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** A swatch to be made, tied to one or two others. */
public record TiedSwatch(
        @JSExport @JSProperty("colour") String colour,
        @JSExport @JSProperty("paint") String paint) {}
