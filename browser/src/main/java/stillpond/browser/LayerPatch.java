package stillpond.browser;

import java.util.TreeSet;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.gap.DamPatch;

/**
 * A layer after a line drawn by hand.
 *
 * @param boxes what has changed of its plane
 * @param split the cells that were split
 * @param dam the openings of the dam
 */
public record LayerPatch(
        @JSExport @JSProperty("layer") Layer layer,
        @JSExport @JSProperty("boxes") PlaneBox[] boxes,
        @JSExport @JSProperty("split") CellParts[] split,
        @JSExport @JSProperty("dam") int[] dam) {

    static LayerPatch of(Layer layer, DamPatch patch) {
        PlaneBox[] boxes = patch.boxes().stream().map(PlaneBox::of).toArray(PlaneBox[]::new);
        CellParts[] split = patch.split().stream()
                .map(each -> new CellParts(each.cell(), Numbers.of(each.parts())))
                .toArray(CellParts[]::new);
        return new LayerPatch(layer, boxes, split, Numbers.of(new TreeSet<>(patch.dam())));
    }
}
