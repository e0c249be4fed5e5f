package stillpond.app.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.MovedFills;
import stillpond.core.fill.Places;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ink.Placing;
import stillpond.core.ink.Registration;
import stillpond.core.line.MovedStrokes;

/** Lets one cutting of a layer take the place of another, and fills go from the cells and strokes of the one to those of the other; shadows keep their numbers. */
@Component
class LayerSwaps {

    private final LayerFills fills;
    private final Planes planes;

    LayerSwaps(LayerFills fills, Planes planes) {
        this.fills = fills;
        this.planes = planes;
    }

    /** What a layer just cut is to wear, and which fills of cells found no place. */
    MovedFills moved(Layer old, Layer fresh) {
        Fills worn = fills.worn(old.id());
        if (areShapes(old, fresh)) {
            return new MovedFills(byNumber(worn, fresh, planes), List.of());
        }
        Placing placing = placing(fresh, old);
        MovedFills cells = MovedFills.move(worn.ofCells(), cells(old), cells(fresh), placing);
        Fills all = cells.fills()
                .withStrokes(strokes(worn.ofStrokes(), old, fresh, placing))
                .withWidths(strokes(worn.ofWidths(), old, fresh, placing))
                .withShadows(worn.ofShadows());
        return new MovedFills(all, cells.lost());
    }

    /**
     * Brings back a layer that was replaced. It wears what it wore then, but for what has been filled since on the layer that stands in its place.
     */
    Fills restored(Layer present, Layer former) {
        Fills now = fills.worn(present.id());
        Fills then = fills.wornAside(former.id());
        Fills atTheSwap = inTheSamePlace(former, then, present);
        Fills nowBack = inTheSamePlace(present, now, former);
        Fills swapBack = inTheSamePlace(present, atTheSwap, former);
        Map<Integer, Fill> restored = new HashMap<>();
        Stream.of(nowBack, swapBack, then)
                .flatMap(each -> each.filled().stream())
                .forEach(place -> {
                    boolean filledSince = !nowBack.of(place).equals(swapBack.of(place));
                    restored.put(place, filledSince ? nowBack.of(place) : then.of(place));
                });
        return Fills.of(restored);
    }

    /** The cells and strokes of one layer that lie where some of another lie. @param places see {@link Places} */
    Set<Integer> inTheSamePlace(Layer from, Set<Integer> places, Layer to) {
        Fill mark = Fill.flat(new UUID(0, 0));
        Fills marked = Fills.of(places.stream().collect(Collectors.toMap(place -> place, place -> mark)));
        return inTheSamePlace(from, marked, to).filled();
    }

    /** What lies on the cells and strokes of one layer, on those of another. */
    Fills inTheSamePlace(Layer from, Fills laid, Layer to) {
        if (areShapes(from, to)) {
            return byNumber(laid, to, planes);
        }
        Fills ofCells = laid.ofCells();
        Fills ofStrokes = laid.ofStrokes();
        Placing placing = placing(to, from);
        Fills moved = ofCells.filled().isEmpty()
                ? ofCells
                : MovedFills.move(ofCells, cells(from), cells(to), placing).fills();
        return moved.withStrokes(strokes(ofStrokes, from, to, placing))
                .withWidths(strokes(laid.ofWidths(), from, to, placing))
                .withShadows(laid.ofShadows());
    }

    private static boolean areShapes(Layer one, Layer other) {
        return one.isBlockedIn() && other.isBlockedIn();
    }

    /** Shapes keep what they wear wherever they go; those that are gone do not. */
    static Fills byNumber(Fills worn, Layer to, Planes planes) {
        Set<Integer> there = LayerShapes.of(to, planes).cellNumbers();
        StrokePlanes strokes = to.strokes();
        int outlines = strokes == null ? 0 : strokes.count();
        return worn.in(place -> Places.isCell(place) && there.contains(place)
                || Places.isShadow(place)
                || Places.isStroke(place) && Places.stroke(place) < outlines && there.contains(Places.stroke(place)));
    }

    /** @param worn by the strokes of {@code from} */
    private Fills strokes(Fills worn, Layer from, Layer to, Placing placing) {
        StrokePlanes then = from.strokes();
        StrokePlanes now = to.strokes();
        if (worn.filled().isEmpty() || then == null || now == null) {
            return Fills.none();
        }
        return then.plane().equals(now.plane())
                ? worn
                : MovedStrokes.move(worn, then.mapOf(from, planes), now.mapOf(to, planes), placing);
    }

    /** Where the pixels of one layer lie among those of another of the same page. */
    Placing placing(Layer here, Layer there) {
        boolean samePage = here.origin().equals(there.origin()) && here.widthPx() == there.widthPx();
        return samePage
                ? Placing.SAME
                : Registration.place(
                        PlaneCodec.decodeInk(planes.content(here.ink())),
                        PlaneCodec.decodeInk(planes.content(there.ink())));
    }

    private CellPlane cells(Layer layer) {
        return PlaneCodec.decodeCells(planes.content(layer.cells()));
    }
}
