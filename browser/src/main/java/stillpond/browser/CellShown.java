package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.cell.Cell;

/** See {@link Cell}. */
public record CellShown(
        @JSExport @JSProperty("area") int area,
        @JSExport @JSProperty("x") int x,
        @JSExport @JSProperty("y") int y,
        @JSExport @JSProperty("width") int width,
        @JSExport @JSProperty("height") int height,
        @JSExport @JSProperty("deepestX") int deepestX,
        @JSExport @JSProperty("deepestY") int deepestY) {

    static CellShown of(Cell cell) {
        return new CellShown(
                cell.areaPx(),
                cell.box().xStart(),
                cell.box().yStart(),
                cell.box().widthPx(),
                cell.box().heightPx(),
                cell.deepestX(),
                cell.deepestY());
    }
}
