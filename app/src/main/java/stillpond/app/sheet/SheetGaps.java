package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Gap;
import stillpond.core.gap.Gaps;
import stillpond.core.gap.OpeningList;
import stillpond.core.refusal.Refusal;

/** The gaps of a sheet in the order in which they are worth a look. */
@Service
@Transactional(readOnly = true)
public class SheetGaps {

    private final Sheets sheets;
    private final SheetRepository stored;
    private final Planes planes;

    SheetGaps(Sheets sheets, SheetRepository stored, Planes planes) {
        this.sheets = sheets;
        this.stored = stored;
        this.planes = planes;
    }

    /**
     * @param dams as the desk has them, which may be ahead of what is stored
     * @throws Refusal if they name an opening that the layer does not have
     */
    public List<Gap> of(UUID project, UUID sheetId, Dams dams) {
        Layer layer = sheets.get(project, sheetId).frontLayer();
        if (layer.openings() == null) {
            return List.of();
        }
        OpeningList openings = OpeningsCodec.decodeList(planes.content(layer.openings()));
        requireKnown(dams, openings);
        int[] areas = stored.findById(sheetId).orElseThrow().layer(layer.id()).areas();
        return Gaps.of(openings, areas, dams);
    }

    private static void requireKnown(Dams dams, OpeningList openings) {
        for (var said : List.of(dams.shut(), dams.open())) {
            for (int opening : said) {
                if (opening < 0 || opening >= openings.all().size()) {
                    throw new Refusal("The line art has no opening " + opening + ".");
                }
            }
        }
    }
}
