package stillpond.app.sheet;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import stillpond.core.format.DamPatchCodec;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;

/** Dams drawn by hand, and the way on which a fill would run. */
@Service
public class HandDams {

    private final LayerCuts cuts;
    private final LayerDams dams;
    private final OpenLayers openLayers;

    HandDams(LayerCuts cuts, LayerDams dams, OpenLayers openLayers) {
        this.cuts = cuts;
        this.dams = dams;
        this.openLayers = openLayers;
    }

    /**
     * What a line has cut, before it is stored.
     *
     * @param layer the id that the layer will have
     * @param patch what has changed; see {@link DamPatchCodec}
     */
    public record Cut(UUID layer, byte[] patch) {}

    /** Somebody is about to draw dams here: the first one shall not have to wait until the planes are unpacked. */
    public void expect(Sheet sheet) {
        openLayers.open(sheet.layer());
    }

    /**
     * Draws a dam: one change, which undo takes back.
     *
     * @param line two points or more, in pixels of the layer
     * @param seen told what the line has cut, before that is stored
     * @return false if the line parts nothing; then nothing is changed, nor told
     */
    public boolean draw(Sheet sheet, UUID author, List<Point> line, Consumer<Cut> seen) {
        sheet.layer().requireLineArt();
        OpenLayers.OpenLayer open = openLayers.take(sheet.layer());
        if (HandDam.draw(open.openings(), open.ink(), line) instanceof HandDam.Parted parted) {
            store(sheet, author, "Drew a dam", open, parted, seen);
            return true;
        }
        openLayers.keep(sheet.layer(), open);
        return false;
    }

    /**
     * Joins the regions on both sides of the ink that a line crosses, for filling only: one change, which undo takes back.
     *
     * @param seen told what has changed, before that is stored
     * @return false if the line stays in one cell; then nothing is changed, nor told
     */
    public boolean join(Sheet sheet, UUID author, List<Point> line, Consumer<Cut> seen) {
        sheet.layer().requireLineArt();
        OpenLayers.OpenLayer open = openLayers.take(sheet.layer());
        Openings joined = HandDam.joined(open.openings(), open.ink(), line);
        if (joined.openings().size() == open.openings().openings().size()) {
            openLayers.keep(sheet.layer(), open);
            return false;
        }
        store(sheet, author, "Joined regions", open, new HandDam.Parted(joined, Set.of(), List.of(), List.of()), seen);
        return true;
    }

    private void store(
            Sheet sheet,
            UUID author,
            String words,
            OpenLayers.OpenLayer open,
            HandDam.Parted parted,
            Consumer<Cut> seen) {
        UUID layer = UUID.randomUUID();
        seen.accept(new Cut(layer, DamPatchCodec.encode(open.openings().openings(), parted)));
        OpenLayers.OpenLayer cut = new OpenLayers.OpenLayer(parted.openings(), open.ink());
        openLayers.keep(cuts.split(sheet, author, words, layer, parted, open.ink()), cut);
    }
}
