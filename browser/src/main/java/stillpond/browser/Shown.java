package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.colour.Gamut;

/** A colour as a screen shows it. @param wasOutside whether chroma had to be taken away */
public record Shown(
        @JSExport @JSProperty("hex") String hex,
        @JSExport @JSProperty("wasOutside") boolean wasOutside) {

    static Shown of(Gamut.Shown shown) {
        return new Shown(shown.colour().hex(), shown.wasOutside());
    }
}
