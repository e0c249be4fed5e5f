package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** What an ink plane as the server sends it begins with. @param length in bytes */
public record InkStart(
        @JSExport @JSProperty("width") int width,
        @JSExport @JSProperty("height") int height,
        @JSExport @JSProperty("threshold") int threshold,
        @JSExport @JSProperty("length") int length) {}
