package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** The strokes that wear a swatch, or get their colour from it. */
public record InkSource(
        @JSExport @JSProperty("swatch") String swatch,
        @JSExport @JSProperty("strokes") int[] strokes) {}
