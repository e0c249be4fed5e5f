package stillpond.app.carry;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.carry.Drawing;
import stillpond.core.cell.CellMap;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Regions;

/** Reads layers of sheets for carry. */
@Component
class CarryPages {

    private final Sheets sheets;
    private final Planes planes;
    private final Corrections corrections;
    private final Palettes palettes;

    CarryPages(Sheets sheets, Planes planes, Corrections corrections, Palettes palettes) {
        this.palettes = palettes;
        this.sheets = sheets;
        this.planes = planes;
        this.corrections = corrections;
    }

    /** The layer of a sheet that is worked on. */
    CarryPage of(Sheet sheet) {
        Layer layer = sheet.layer();
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        Regions regions = sheets.regions(layer);
        return new CarryPage(
                sheet,
                map,
                regions,
                sheets.fills(layer),
                Drawing.of(map, regions),
                corrections.of(layer.id()),
                palettes.models(sheet.project()).containsValue(sheet.id()));
    }

    /** Each layer of some sheets that wears something. */
    List<Sheet> layersOf(UUID project, List<UUID> ids) {
        return ids.stream()
                .map(id -> sheets.get(project, id))
                .flatMap(sheet -> sheet.layers().stream()
                        .map(layer -> sheet.on(layer.standing().layer())))
                .filter(sheet -> !sheets.fills(sheet.layer()).filled().isEmpty())
                .toList();
    }
}
