package stillpond.browser;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.teavm.jso.JSExport;
import stillpond.core.cell.Cell;
import stillpond.core.cell.Enclosed;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamChange;
import stillpond.core.gap.DamState;
import stillpond.core.gap.DamStroke;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Figures;
import stillpond.core.gap.Gaps;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;
import stillpond.core.ledger.Handful;
import stillpond.core.ledger.SheetLedger;
import stillpond.core.region.Direction;
import stillpond.core.region.Gathered;
import stillpond.core.region.Pockets;
import stillpond.core.region.RegionMap;
import stillpond.core.region.Spill;
import stillpond.core.region.Walk;

/** The regions of the layer that is open, under its dams as the desk has them. Regions, cells and openings are named by their numbers. */
public final class SheetRegions {

    private static final int NONE = -1;

    private final Layer layer;
    private Dams dams = Dams.at(1);
    private Dams shownDams = dams;
    private RegionMap map;

    @JSExport
    public SheetRegions(Layer layer) {
        this.layer = layer;
        join(dams);
    }

    /** Takes over dams. @param inked those of {@code shut} that are drawn in ink as well */
    @JSExport
    public void load(double reach, int[] shut, int[] open, int[] inked) {
        dams = new Dams(reach, Numbers.setOf(shut), Numbers.setOf(open), Numbers.setOf(inked));
        join(dams);
    }

    /** Shows the regions that there would be at another reach. */
    @JSExport
    public void preview(double reach) {
        join(new Dams(reach, dams.shut(), dams.open(), dams.inked()));
    }

    @JSExport
    public void endPreview() {
        join(dams);
    }

    private void join(Dams by) {
        shownDams = by;
        map = RegionMap.of(
                layer.graph(), Regions.of(layer.openings().all(), layer.graph().count(), by));
    }

    @JSExport
    public double reach() {
        return dams.reach();
    }

    @JSExport
    public int[] shut() {
        return Numbers.of(dams.shut());
    }

    @JSExport
    public int[] open() {
        return Numbers.of(dams.open());
    }

    @JSExport
    public int[] inked() {
        return Numbers.of(dams.inked());
    }

    @JSExport
    public String stateOf(int opening) {
        return dams.of(opening).name();
    }

    /** Whether an opening is dammed at a reach. */
    @JSExport
    public boolean isShutAt(int opening, double reach) {
        return new Dams(reach, dams.shut(), dams.open(), dams.inked())
                .isShut(opening, layer.openings().all().get(opening));
    }

    /** The opening nearest to a place, or below 0 if none is within a distance, in pixels of the page. */
    @JSExport
    public int openingNear(double x, double y, double within) {
        return DamStroke.nearest(layer.openings().all(), new Point(x, y), within)
                .orElse(NONE);
    }

    /** The openings that a line crosses. @param way its points: x, then y */
    @JSExport
    public int[] openingsCrossed(double[] way) {
        return Numbers.of(DamStroke.crossed(layer.openings().all(), Layer.points(way)));
    }

    /** The openings under a broad brush that reach might have decided otherwise. @param way its points: x, then y */
    @JSExport
    public int[] openingsBrushed(double[] way, double radius, boolean isLifting) {
        List<Point> points = Layer.points(way);
        return Numbers.of(DamStroke.brushed(layer.openings().all(), points, radius, dams.reach(), isLifting));
    }

    /**
     * What giving openings a state would change.
     *
     * @param reach another one, or below 0: it stays
     */
    @JSExport
    public DamEffect giving(int[] openings, String[] states, double reach) {
        Map<Integer, DamState> given = new TreeMap<>();
        for (int i = 0; i < openings.length; i++) {
            given.put(openings[i], DamState.valueOf(states[i]));
        }
        return DamEffect.of(dams.giving(given, reach < 0 ? OptionalDouble.empty() : OptionalDouble.of(reach)));
    }

    /** What taking a change back would change: what was changed since is left alone. */
    @JSExport
    public DamEffect takingBack(
            int[] openings, String[] before, String[] after, double reachBefore, double reachAfter) {
        return DamEffect.of(dams.takingBack(DamEffect.change(openings, before, after, reachBefore, reachAfter)));
    }

    @JSExport
    public void apply(int[] openings, String[] before, String[] after, double reachBefore, double reachAfter) {
        DamChange change = DamEffect.change(openings, before, after, reachBefore, reachAfter);
        dams = dams.after(change);
        join(dams);
    }

    @JSExport
    public int count() {
        return map.all().size();
    }

    /** The region of each cell. */
    @JSExport
    public int[] ofCells() {
        return map.regions().ofCells();
    }

    @JSExport
    public RegionShape shape(int region) {
        return RegionShape.of(map.get(region));
    }

    /** The openings at the border of a region, or inside it, that somebody might care about. */
    @JSExport
    public int[] openingsAt(int region) {
        return Numbers.of(map.regions().openingsAt(region));
    }

    /** One step up: the openings to leave open. */
    @JSExport
    public int[] bigger(int cell) {
        return Numbers.of(map.regions().bigger(cell));
    }

    /** One step down: the openings to dam. */
    @JSExport
    public int[] smaller(int cell) {
        return Numbers.of(map.regions().smaller(cell));
    }

    /** Null if a fill laid on a cell would stay where it seems meant. */
    @JSExport
    public @Nullable SpillShown spill(int cell) {
        return Spill.from(cell, map, layer.openings(), dams).map(SpillShown::of).orElse(null);
    }

    /** The cells of empty pockets beside some cells. @param worn by cell, a number for what it wears; 0 for no fill */
    @JSExport
    public int[] pocketsBeside(int[] cells, int[] worn) {
        Pockets pockets =
                new Pockets(map, layer.openings().all(), layer.openings().strokePx(), worn);
        return pockets.beside(cells).stream()
                .flatMapToInt(region -> Arrays.stream(region.cells()))
                .toArray();
    }

    /** The next region in a direction (LEFT, RIGHT, UP or DOWN). */
    @JSExport
    public int towards(int from, String direction) {
        return new Walk(map).towards(from, Direction.valueOf(direction));
    }

    /** The next region with an empty cell, or -1. @param from a region, or -1 for the start of the sheet */
    @JSExport
    public int nextEmpty(int from, int[] worn) {
        return new Walk(map)
                .nextEmpty(
                        from == NONE ? OptionalInt.empty() : OptionalInt.of(from),
                        cell -> worn[cell] == Pockets.NOTHING)
                .orElse(NONE);
    }

    /** The cells of regions about as large and as long as those of some cells. */
    @JSExport
    public int[] alike(int[] cells) {
        return Gathered.alike(map, cells);
    }

    /** The cells of regions inside a way drawn around them. @param way its points: x, then y */
    @JSExport
    public int[] inside(double[] way) {
        return Gathered.inside(map, Layer.points(way));
    }

    /** The cells of the region that most of some places lie in, of a filled one if there is any. @param cells one for each place @param worn by cell, a number for what it wears; 0 for no fill */
    @JSExport
    public int[] mostOf(int[] cells, int[] worn) {
        return Gathered.mostOf(map, cells, cell -> worn[cell] != Pockets.NOTHING);
    }

    /** The cells inside an outline made of cells. */
    @JSExport
    public int[] enclosed(int[] outline) {
        return Numbers.of(Enclosed.by(layer.graph(), Numbers.setOf(outline)));
    }

    /** The fills in use. @param fills by cell @param cells those that are looked at */
    @JSExport
    public LedgerRow[] ledger(String[] fills, int[] cells) {
        Map<String, Fill> known = new HashMap<>();
        List<Fill> worn = new ArrayList<>(fills.length);
        for (String fill : fills) {
            worn.add(known.computeIfAbsent(fill, Fill::ofText));
        }
        BitSet meant = new BitSet();
        for (int cell : cells) {
            meant.set(cell);
        }
        return SheetLedger.of(map, worn, meant::get).stream()
                .map(row -> new LedgerRow(row.fill().text(), Numbers.of(row.cells()), row.regions(), row.share()))
                .toArray(LedgerRow[]::new);
    }

    /**
     * The swatches that are likeliest for the region of a cell, likeliest first.
     *
     * @param fills by cell
     * @param swatches of the palette, in its order
     * @param cards by swatch: the number of its card; below 0 if it is on none of a figure or a place
     * @param beside what the sheets beside wear, most of it first
     * @param used what was in the hand, latest first
     */
    @JSExport
    public String[] handful(int cell, String[] fills, String[] swatches, int[] cards, String[] beside, String[] used) {
        Map<String, Fill> known = new HashMap<>();
        Fill[] worn = new Fill[fills.length];
        for (int i = 0; i < fills.length; i++) {
            worn[i] = known.computeIfAbsent(fills[i], Fill::ofText);
        }
        List<Handful.Known> palette = new ArrayList<>();
        for (int i = 0; i < swatches.length; i++) {
            palette.add(new Handful.Known(UUID.fromString(swatches[i]), cards[i]));
        }
        int[] regions = ofCells();
        Handful.Here here = new Handful.Here(layer.graph(), regions, each -> worn[each], regions[cell]);
        return Handful.of(here, palette, ids(beside), ids(used)).stream()
                .map(UUID::toString)
                .toArray(String[]::new);
    }

    private static List<UUID> ids(String[] texts) {
        return Arrays.stream(texts).map(UUID::fromString).toList();
    }

    /** The gaps in the order in which they are worth a look. */
    @JSExport
    public GapShown[] gaps() {
        int[] areas = layer.graph().cells().stream().mapToInt(Cell::areaPx).toArray();
        return Gaps.of(layer.openings(), areas, shownDams).stream()
                .map(GapShown::of)
                .toArray(GapShown[]::new);
    }

    /** The largest first. */
    @JSExport
    public FigureShown[] figures() {
        return Figures.of(layer.graph(), map.regions()).stream()
                .map(FigureShown::of)
                .toArray(FigureShown[]::new);
    }
}
