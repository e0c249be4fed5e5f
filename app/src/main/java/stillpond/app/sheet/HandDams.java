package stillpond.app.sheet;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import stillpond.core.blockin.Even;
import stillpond.core.blockin.EvenDams;
import stillpond.core.format.DamPatchCodec;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

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
        return draw(
                sheet, drawing(author, "Drew a dam"), open -> HandDam.draw(open.openings(), open.ink(), line), seen);
    }

    /** Likewise, with the ends of the line carried on to ink however far away that is. */
    public boolean drawExtended(Sheet sheet, UUID author, List<Point> line, Consumer<Cut> seen) {
        return draw(
                sheet,
                drawing(author, "Drew a dam"),
                open -> HandDam.drawExtended(open.openings(), open.ink(), line),
                seen);
    }

    /**
     * Divides a region evenly: one change, which undo takes back.
     *
     * @param cells of the region
     * @return false if nothing is parted
     * @throws Refusal if there are no such cells
     */
    public boolean divide(Sheet sheet, UUID author, Set<Integer> cells, Even even, Point centre, Consumer<Cut> seen) {
        if (cells.isEmpty() || !sheet.layer().hasCells(cells)) {
            throw new Refusal("Gather the region that is to be divided. Nothing was changed.");
        }
        return draw(
                sheet,
                drawing(author, "Divided a region evenly"),
                open -> HandDam.drawAll(
                        open.openings(),
                        open.ink(),
                        EvenDams.lines(open.openings().cells(), cells, even, centre)),
                seen);
    }

    /**
     * Draws several dams as one change.
     *
     * @param lines each as {@link #draw} takes it
     * @return false if none of them parts anything; then nothing is changed
     */
    public boolean drawAll(Sheet sheet, UUID change, UUID author, String words, List<List<Point>> lines) {
        return draw(
                sheet,
                new LayerCuts.Making(change, author, words),
                open -> HandDam.drawAll(open.openings(), open.ink(), lines),
                seen -> {});
    }

    private static LayerCuts.Making drawing(UUID author, String words) {
        return new LayerCuts.Making(UUID.randomUUID(), author, words);
    }

    private boolean draw(
            Sheet sheet,
            LayerCuts.Making making,
            Function<OpenLayers.OpenLayer, HandDam.Outcome> drawing,
            Consumer<Cut> seen) {
        sheet.layer().requireLineArt();
        OpenLayers.OpenLayer open = openLayers.take(sheet.layer());
        if (drawing.apply(open) instanceof HandDam.Parted parted) {
            store(sheet, making, open, parted, seen);
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
        store(
                sheet,
                drawing(author, "Joined regions"),
                open,
                new HandDam.Parted(joined, Set.of(), List.of(), List.of()),
                seen);
        return true;
    }

    private void store(
            Sheet sheet,
            LayerCuts.Making making,
            OpenLayers.OpenLayer open,
            HandDam.Parted parted,
            Consumer<Cut> seen) {
        UUID layer = UUID.randomUUID();
        seen.accept(new Cut(layer, DamPatchCodec.encode(open.openings().openings(), parted)));
        OpenLayers.OpenLayer cut = new OpenLayers.OpenLayer(parted.openings(), open.ink());
        openLayers.keep(cuts.split(sheet, making, layer, parted, open.ink()), cut);
    }
}
