package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.region.Region;

/** A region as one shape, in pixels. */
public record RegionShape(
        @JSExport @JSProperty("cells") int[] cells,
        @JSExport @JSProperty("area") int area,
        @JSExport @JSProperty("x") int x,
        @JSExport @JSProperty("y") int y,
        @JSExport @JSProperty("width") int width,
        @JSExport @JSProperty("height") int height,
        @JSExport @JSProperty("deepestX") int deepestX,
        @JSExport @JSProperty("deepestY") int deepestY,
        @JSExport @JSProperty("deepestCell") int deepestCell) {

    static RegionShape of(Region region) {
        return new RegionShape(
                region.cells().clone(),
                (int) region.areaPx(),
                region.box().xStart(),
                region.box().yStart(),
                region.box().widthPx(),
                region.box().heightPx(),
                region.deepest().deepestX(),
                region.deepest().deepestY(),
                region.deepest().number());
    }
}
