package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.region.Spill;

/** A fill that would run out, see {@link Spill}; openings by index. */
public record SpillShown(
        @JSExport @JSProperty("dam") int[] dam,
        @JSExport @JSProperty("gaps") int[] gaps,
        @JSExport @JSProperty("places") int places,
        @JSExport @JSProperty("narrowestPx") double narrowestPx,
        @JSExport @JSProperty("times") int times,
        @JSExport @JSProperty("way") int[] way) {

    static SpillShown of(Spill spill) {
        return new SpillShown(
                Numbers.of(spill.dam()),
                Numbers.of(spill.gaps()),
                spill.places(),
                spill.narrowestPx(),
                spill.times(),
                Numbers.of(spill.way()));
    }
}
