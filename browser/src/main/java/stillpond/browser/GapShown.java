package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.gap.Gap;

/** See {@link Gap}. @param sides a cell on each side */
public record GapShown(
        @JSExport @JSProperty("openings") int[] openings,
        @JSExport @JSProperty("places") int places,
        @JSExport @JSProperty("widthPx") double widthPx,
        @JSExport @JSProperty("isShut") boolean isShut,
        @JSExport @JSProperty("isInDoubt") boolean isInDoubt,
        @JSExport @JSProperty("sides") int[] sides,
        @JSExport @JSProperty("effectPx") double effectPx) {

    static GapShown of(Gap gap) {
        return new GapShown(
                Numbers.of(gap.openings()),
                gap.places(),
                gap.widthPx(),
                gap.isShut(),
                gap.isInDoubt(),
                gap.sides().stream().mapToInt(Gap.Side::cell).toArray(),
                gap.effectPx());
    }
}
