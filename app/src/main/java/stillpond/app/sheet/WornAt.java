package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.PlaneCodec;
import stillpond.core.stack.Standing;

/** What is worn at a place of a sheet, as far as its small maps show. */
@Service
@Transactional(readOnly = true)
public class WornAt {

    private final Sheets sheets;
    private final Planes planes;

    WornAt(Sheets sheets, Planes planes) {
        this.sheets = sheets;
        this.planes = planes;
    }

    /**
     * The swatches of the fill that is seen there, that of the layer in front; none where nothing is filled.
     *
     * @param x from 0 at the left edge to 1 at the right one; so does {@code y}, downwards
     */
    public List<UUID> swatches(Sheet sheet, double x, double y) {
        Layer page = sheet.layer();
        return sheet.layers().stream()
                .filter(layer -> !layer.standing().isHidden())
                .map(layer -> onLayer(layer, x * page.widthPx(), y * page.heightPx()))
                .filter(worn -> !worn.isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    private List<UUID> onLayer(Layer layer, double xPx, double yPx) {
        Standing standing = layer.standing();
        double across = (xPx - standing.xPx()) / layer.widthPx();
        double down = (yPx - standing.yPx()) / layer.heightPx();
        if (!(across >= 0 && across < 1 && down >= 0 && down < 1)) {
            return List.of();
        }
        CellPlane small = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        int place = (int) (down * small.heightPx()) * small.widthPx() + (int) (across * small.widthPx());
        return sheets.fills(layer).of(small.numbers()[place]).swatches();
    }
}
