package stillpond.app.sheet;

import java.util.Collection;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fills;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Opening;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;
import stillpond.core.stroke.StrokeMap;

/** Whether what is kept of a sheet fits together, so that everything that works on sheets can rely on it; asked of sheets that came from elsewhere. */
@Component
public class SheetSoundness {

    private final SheetRepository sheets;
    private final Sheets present;
    private final SheetPictures pictures;
    private final LayerGroups groups;
    private final LayerShadows shadows;
    private final LayerFills fills;
    private final SheetReferences references;
    private final Planes planes;

    SheetSoundness(
            SheetRepository sheets,
            Sheets present,
            SheetPictures pictures,
            LayerGroups groups,
            LayerShadows shadows,
            LayerFills fills,
            SheetReferences references,
            Planes planes) {
        this.sheets = sheets;
        this.present = present;
        this.pictures = pictures;
        this.groups = groups;
        this.shadows = shadows;
        this.fills = fills;
        this.references = references;
        this.planes = planes;
    }

    /** @throws RuntimeException of any kind if it does not */
    @Transactional(readOnly = true)
    public void require(UUID project, UUID sheet) {
        sheets.findByIdAndProjectId(sheet, project).orElseThrow().everyLayer().forEach(this::require);
        Sheet whole = present.get(project, sheet);
        for (Layer layer : whole.layers()) {
            present.regions(layer);
            require(layer.widthPx() == whole.widthPx() && layer.heightPx() == whole.heightPx(), "layers of one size");
        }
        references.of(sheet);
        pictures.small(pictures.colour(whole, Showing.OWN));
    }

    private void require(Layer layer) {
        if (layer.isBlockedIn()) {
            LayerShapes.of(layer, planes);
        }
        InkPlane ink = PlaneCodec.decodeInk(planes.content(layer.ink()));
        require(ink.widthPx() == layer.widthPx() && ink.heightPx() == layer.heightPx(), "ink as large as its layer");
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        require(map.cells().size() == layer.cellCount(), "as many cells as it says");
        require(isAsLarge(map.plane(), layer), "cells as large as their layer");
        requireNumbers(map.plane(), 0, layer.cellCount());
        InkPlane smallInk = PlaneCodec.decodeInk(planes.content(layer.smallInk()));
        CellPlane small = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        require(
                smallInk.widthPx() == small.widthPx()
                        && smallInk.heightPx() == small.heightPx()
                        && Math.max(small.widthPx(), small.heightPx()) <= LineArt.SMALL_LONG_SIDE_PX,
                "small pictures that are small");
        requireNumbers(small, 0, layer.cellCount());
        if (layer.openings() != null) {
            requireCells(
                    OpeningsCodec.decode(planes.content(layer.openings()), map).openings().stream()
                            .flatMap(SheetSoundness::cells)
                            .toList(),
                    layer);
        }
        StrokePlanes strokes = layer.strokes();
        if (strokes != null) {
            require(strokes.mapOf(layer, planes), strokes.count());
            require(strokes.smallMap(small.widthPx(), small.heightPx(), planes), strokes.count());
        }
        Fills worn = fills.worn(layer.id());
        require(layer.hasPlaces(worn.filled()), "fills of what is there");
        groups.of(layer.id()).groups().forEach(group -> requireCells(group.cells(), layer));
        shadows.of(layer.id());
    }

    private static Stream<Integer> cells(Opening opening) {
        return Stream.of(opening.first(), opening.second());
    }

    private static boolean isAsLarge(CellPlane plane, Layer layer) {
        return plane.widthPx() == layer.widthPx() && plane.heightPx() == layer.heightPx();
    }

    private static void require(StrokeMap strokes, int count) {
        require(strokes.count() == count, "as many strokes as it says");
        requireNumbers(strokes.plane(), -1, count);
    }

    private static void requireNumbers(CellPlane plane, int from, int before) {
        for (int number : plane.numbers()) {
            if (number < from || number >= before) {
                throw new Refusal("There is no number " + number + ".");
            }
        }
    }

    private static void requireCells(Collection<Integer> cells, Layer layer) {
        require(layer.hasCells(cells), "cells that are there");
    }

    private static void require(boolean isSo, String what) {
        if (!isSo) {
            throw new Refusal("A layer has " + what + ".");
        }
    }
}
