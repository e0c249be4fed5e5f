package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.cell.Box;
import stillpond.core.cell.PlanePatch;

/** A box of a plane. @param numbers the cells of its pixels, row by row */
public record PlaneBox(
        @JSExport @JSProperty("x") int x,
        @JSExport @JSProperty("y") int y,
        @JSExport @JSProperty("width") int width,
        @JSExport @JSProperty("height") int height,
        @JSExport @JSProperty("numbers") int[] numbers) {

    static PlaneBox of(PlanePatch patch) {
        Box box = patch.box();
        return new PlaneBox(box.xStart(), box.yStart(), box.widthPx(), box.heightPx(), patch.numbers());
    }
}
