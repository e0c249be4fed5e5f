package stillpond.app.sheet;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Dams;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.LeakTrace;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;

/** Dams drawn by hand, and the way on which a fill would run. */
@Service
public class HandDams {

    private final Sheets sheets;
    private final LayerCuts cuts;
    private final LayerDams dams;
    private final Planes planes;

    HandDams(Sheets sheets, LayerCuts cuts, LayerDams dams, Planes planes) {
        this.sheets = sheets;
        this.cuts = cuts;
        this.dams = dams;
        this.planes = planes;
    }

    /**
     * Draws a dam: one change, which undo takes back.
     *
     * @param line two points or more, in pixels of the layer
     * @return false if the line parts nothing; then nothing is changed
     */
    public boolean draw(UUID project, UUID sheetId, UUID author, List<Point> line) {
        Sheet sheet = sheets.get(project, sheetId);
        Layer layer = sheet.frontLayer();
        HandDam.Outcome outcome =
                HandDam.draw(dams.openings(layer), PlaneCodec.decodeInk(planes.content(layer.ink())), line);
        if (outcome instanceof HandDam.Parted parted) {
            cuts.split(sheet, author, parted);
            return true;
        }
        return false;
    }

    /**
     * Joins the regions on both sides of the ink that a line crosses, for filling only: one change, which undo takes back.
     *
     * @return false if the line stays in one cell; then nothing is changed
     */
    public boolean join(UUID project, UUID sheetId, UUID author, List<Point> line) {
        Sheet sheet = sheets.get(project, sheetId);
        Layer layer = sheet.frontLayer();
        Openings before = dams.openings(layer);
        Openings joined = HandDam.joined(before, PlaneCodec.decodeInk(planes.content(layer.ink())), line);
        if (joined.openings().size() == before.openings().size()) {
            return false;
        }
        cuts.split(sheet, author, new HandDam.Parted(joined, Set.of(), List.of(), List.of()));
        return true;
    }

    /** The openings, by index, through which a fill would run from one cell to another, in the order of the way; none if it would not get there. */
    public List<Integer> leak(UUID project, UUID sheetId, int from, int to) {
        Layer layer = sheets.get(project, sheetId).frontLayer();
        Openings openings = dams.openings(layer);
        Dams now = dams.of(layer);
        int cells = openings.cells().cells().size();
        if (from < 0 || to < 0 || from >= cells || to >= cells) {
            throw new IllegalArgumentException("The line art has no such region.");
        }
        return LeakTrace.between(openings, now, from, to);
    }
}
