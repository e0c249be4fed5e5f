package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** Whatever wears a fill, or takes a colour from a swatch. */
public record LedgerRow(
        @JSExport @JSProperty("fill") String fill,
        @JSExport @JSProperty("cells") int[] cells,
        @JSExport @JSProperty("regions") int regions,
        @JSExport @JSProperty("share") double share) {}
