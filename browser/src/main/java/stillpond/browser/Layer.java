package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSExport;
import stillpond.core.cell.CellGraph;
import stillpond.core.format.DamPatchCodec;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.DamPatch;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Point;

/** The cells of a layer, who borders whom, and the openings between them. */
public final class Layer {

    private final CellGraph graph;
    private final OpeningsCodec.Sent openings;
    private final CellShown[] shown;

    private Layer(CellGraph graph, OpeningsCodec.Sent openings) {
        this.graph = graph;
        this.openings = openings;
        this.shown = new CellShown[graph.count()];
    }

    /**
     * @param map the cells, as the server sends them
     * @param openings likewise; empty while they are not known
     */
    @JSExport
    public static Layer read(byte[] map, byte[] openings) {
        CellGraph graph = PlaneCodec.readMap(map, PlaneCodec.PlaneSink.NONE);
        return new Layer(graph, openings.length == 0 ? OpeningsCodec.Sent.NONE : OpeningsCodec.read(openings));
    }

    /** Cells that no opening lies between. */
    static Layer of(CellGraph graph) {
        return new Layer(graph, OpeningsCodec.Sent.NONE);
    }

    /**
     * The layer after a line was drawn by hand.
     *
     * @param patch as the server sends it
     */
    @JSExport
    public LayerPatch patched(byte[] patch) {
        DamPatch read = DamPatchCodec.decode(patch);
        OpeningsCodec.Sent now =
                new OpeningsCodec.Sent(read.after(openings.openings()), openings.defaultReach(), openings.isLimited());
        return LayerPatch.of(new Layer(read.after(graph), now), read);
    }

    @JSExport
    public int count() {
        return graph.count();
    }

    @JSExport
    public CellShown cell(int cell) {
        if (shown[cell] == null) {
            shown[cell] = CellShown.of(graph.cells().get(cell));
        }
        return shown[cell];
    }

    @JSExport
    public int openingCount() {
        return openings().all().size();
    }

    @JSExport
    public OpeningShown opening(int opening) {
        return OpeningShown.of(openings().all().get(opening));
    }

    @JSExport
    public double strokePx() {
        return openings().strokePx();
    }

    /** The reach that the openings themselves suggest. */
    @JSExport
    public double defaultReach() {
        return openings.defaultReach();
    }

    /** Whether there were more possible gaps than are looked at. */
    @JSExport
    public boolean isLimited() {
        return openings.isLimited();
    }

    static List<Point> points(double[] numbers) {
        List<Point> points = new ArrayList<>(numbers.length / 2);
        for (int i = 0; i < numbers.length; i += 2) {
            points.add(new Point(numbers[i], numbers[i + 1]));
        }
        return points;
    }

    CellGraph graph() {
        return graph;
    }

    OpeningList openings() {
        return openings.openings();
    }
}
