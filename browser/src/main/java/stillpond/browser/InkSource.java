package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** The strokes that get their colour from a swatch. */
public record InkSource(
        @JSExport @JSProperty("swatch") String swatch,
        @JSExport @JSProperty("strokes") int[] strokes) {}
