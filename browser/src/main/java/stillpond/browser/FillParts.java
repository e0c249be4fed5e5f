package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** A fill taken apart. Which parts there are depends on its kind: none, flat, linear, radial or pattern. */
public record FillParts(
        @JSExport @JSProperty("kind") String kind,
        @JSExport @JSProperty("opacity") int opacity,
        @JSExport @JSProperty("span") int[] span,
        @JSExport @JSProperty("percents") int[] percents,
        @JSExport @JSProperty("swatches") String[] swatches,
        @JSExport @JSProperty("motif") String motif,
        @JSExport @JSProperty("mirrored") boolean mirrored,
        @JSExport @JSProperty("flipped") boolean flipped,
        @JSExport @JSProperty("height") int height,
        @JSExport @JSProperty("kept") String kept) {}
