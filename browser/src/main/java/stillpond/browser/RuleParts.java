package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** What a light does to colours. */
public record RuleParts(
        @JSExport @JSProperty("blend") String blend,
        @JSExport @JSProperty("tint") String tint,
        @JSExport @JSProperty("strength") int strength,
        @JSExport @JSProperty("lightness") int lightness,
        @JSExport @JSProperty("chroma") int chroma,
        @JSExport @JSProperty("hue") int hue,
        @JSExport @JSProperty("contrast") int contrast) {}
