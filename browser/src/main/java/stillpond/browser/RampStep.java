package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** A swatch between two others, tied to both. */
public record RampStep(
        @JSExport @JSProperty("colour") String colour,
        @JSExport @JSProperty("paint") String paint) {}
