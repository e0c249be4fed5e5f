package stillpond.app.sheet;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.MovedFills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ink.Placing;
import stillpond.core.ink.Registration;

/** Lets one cutting of a layer take the place of another, and fills go from the cells of the one to those of the other. */
@Component
class LayerSwaps {

    private final LayerFills fills;
    private final Planes planes;

    LayerSwaps(LayerFills fills, Planes planes) {
        this.fills = fills;
        this.planes = planes;
    }

    /** What a layer just cut is to wear, and which fills found no place. */
    MovedFills moved(Layer old, Layer fresh) {
        return MovedFills.move(fills.worn(old.id()), cells(old), cells(fresh), placing(fresh, old));
    }

    /**
     * Brings back a layer that was replaced. It wears what it wore then, but for what has been filled since on the layer that stands in its place.
     */
    Fills restored(Layer present, Layer former) {
        CellPlane presentCells = cells(present);
        CellPlane formerCells = cells(former);
        Fills now = fills.worn(present.id());
        Fills then = fills.wornAside(former.id());
        Fills atTheSwap = MovedFills.move(then, formerCells, presentCells, placing(present, former))
                .fills();
        Placing back = placing(former, present);
        Fills nowBack = MovedFills.move(now, presentCells, formerCells, back).fills();
        Fills swapBack =
                MovedFills.move(atTheSwap, presentCells, formerCells, back).fills();
        Map<Integer, Fill> restored = new HashMap<>();
        for (int cell = 0; cell < former.cellCount(); cell++) {
            boolean filledSince = !nowBack.of(cell).equals(swapBack.of(cell));
            restored.put(cell, filledSince ? nowBack.of(cell) : then.of(cell));
        }
        return Fills.of(restored);
    }

    /** The cells of one layer that lie where some cells of another lie. */
    Set<Integer> inTheSamePlace(Layer from, Set<Integer> cells, Layer to) {
        Fill mark = Fill.flat(new UUID(0, 0));
        Fills marked = Fills.of(cells.stream().collect(Collectors.toMap(cell -> cell, cell -> mark)));
        return inTheSamePlace(from, marked, to).filled();
    }

    /** What lies on the cells of one layer, on those of another. */
    Fills inTheSamePlace(Layer from, Fills laid, Layer to) {
        return MovedFills.move(laid, cells(from), cells(to), placing(to, from)).fills();
    }

    /** Where the pixels of one layer lie among those of another of the same page. */
    Placing placing(Layer here, Layer there) {
        boolean sameFile = here.source().equals(there.source()) && here.widthPx() == there.widthPx();
        return sameFile
                ? Placing.SAME
                : Registration.place(
                        PlaneCodec.decodeInk(planes.content(here.ink())),
                        PlaneCodec.decodeInk(planes.content(there.ink())));
    }

    private CellPlane cells(Layer layer) {
        return PlaneCodec.decodeCells(planes.content(layer.cells()));
    }
}
