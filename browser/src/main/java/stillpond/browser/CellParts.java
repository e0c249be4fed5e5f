package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** A cell that was split, and the parts that it has now. */
public record CellParts(
        @JSExport @JSProperty("cell") int cell,
        @JSExport @JSProperty("parts") int[] parts) {}
