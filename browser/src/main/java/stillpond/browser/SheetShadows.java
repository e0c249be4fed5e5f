package stillpond.browser;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.teavm.jso.JSExport;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellGraph;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroups;
import stillpond.core.shadow.Base;
import stillpond.core.shadow.Blending;
import stillpond.core.shadow.CellWindow;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.LaidShadow;
import stillpond.core.shadow.Pieces;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.ShadowedCells;

/** The shadows and rims of the layer that is open, on a picture of it of some size. */
public final class SheetShadows {

    private static final Fill ANY = Fill.flat(UUID.fromString("00000000-0000-0000-0000-000000000000"));

    /** More dams than anybody draws by hand before the page is opened again. */
    private static final int RESERVE = 4096;

    private CellGraph graph;
    private final double strokePx;
    private final double scale;
    private final Pieces pieces;
    private final List<LaidShadow> laid = new ArrayList<>();
    private final Map<Integer, Set<Integer>> bases = new HashMap<>();
    private CellGroups groups = CellGroups.NONE;
    private Fills filled = Fills.none();

    /** @param share how large the picture is, 1 for the sheet itself */
    @JSExport
    public SheetShadows(Layer layer, double share) {
        this.graph = layer.graph();
        this.strokePx = layer.strokePx();
        this.scale = share;
        this.pieces = new Pieces(graph.count(), RESERVE);
    }

    /** Whether the numbers of all pieces fit into two bytes. */
    @JSExport
    public static boolean keepsToTwoBytes(int count) {
        return Pieces.keepsToTwoBytes(count);
    }

    /** Goes on with more cells, as long as there are numbers for them below the first piece; returns whether there are. */
    @JSExport
    public boolean grow(Layer layer) {
        graph = layer.graph();
        return graph.count() <= pieces.first();
    }

    /** The number of the first piece. */
    @JSExport
    public int first() {
        return pieces.first();
    }

    /** Forgets all shadows; numbers of pieces stay. @param cells those that wear something */
    @JSExport
    public void begin(SheetGroups present, int[] cells) {
        laid.clear();
        bases.clear();
        groups = present.all();
        Map<Integer, Fill> any = new HashMap<>();
        for (int cell : cells) {
            any.put(cell, ANY);
        }
        filled = Fills.of(any);
    }

    /** One more, in front of the others. */
    @JSExport
    public void add(
            int number, String name, String base, String form, String blend, int lightness, int strength, double edge) {
        Base read = Base.ofText(base);
        Set<Integer> cells = new HashSet<>(read.cells(groups, filled));
        cells.removeIf(cell -> cell < 0 || cell >= graph.count());
        Shadow shadow = new Shadow(
                number, 0, name, read, Form.ofText(form), BlendMode.ofName(blend), -lightness, strength, edge);
        bases.put(number, cells);
        laid.add(LaidShadow.of(shadow, cells, graph, strokePx, scale));
    }

    /** Where it may show something: x, y, width, height. */
    @JSExport
    public int[] box(int number) {
        Box box = of(number).box();
        return new int[] {box.xStart(), box.yStart(), box.widthPx(), box.heightPx()};
    }

    /** The cells of its base, as they are now. */
    @JSExport
    public int[] base(int number) {
        return Numbers.of(bases.get(number).stream().sorted().toList());
    }

    /** How far around a box cells must be known to lay all of them in it. */
    @JSExport
    public double marginPx() {
        return laid.stream().mapToDouble(LaidShadow::marginPx).max().orElse(0);
    }

    /**
     * The numbers of the pixels of a box, row by row.
     *
     * @param box of the pixels: x, y, width, height
     * @param around the box whose cells are given, as far as it lies on the sheet
     * @param cells of that, row by row
     */
    @JSExport
    public int[] numbers(int[] box, int[] around, int[] cells) {
        return ShadowedCells.numbers(new CellWindow(box(around), cells), box(box), laid, pieces);
    }

    private static Box box(int[] sides) {
        return new Box(sides[0], sides[1], sides[0] + sides[2], sides[1] + sides[3]);
    }

    /** How many numbers there are, those of cells included. */
    @JSExport
    public int count() {
        return pieces.count();
    }

    /** Whether there are more pieces than numbers for them, so that not all is shown. */
    @JSExport
    public boolean isFull() {
        return pieces.isFull();
    }

    /** What lies under the topmost shadow of a piece. */
    @JSExport
    public int under(int piece) {
        return pieces.parent(piece);
    }

    /** The topmost shadow of a piece. */
    @JSExport
    public int topmost(int piece) {
        return pieces.shadow(piece);
    }

    /** The numbers of the shadows that can be made stronger, of those that lie on some cells, the backmost first. */
    @JSExport
    public int[] shadingOn(int[] cells) {
        Set<Integer> on = pieces.shadowsOn(Numbers.setOf(cells));
        return Numbers.of(laid.stream()
                .map(LaidShadow::shadow)
                .filter(each -> each.isShading() && on.contains(each.number()))
                .map(Shadow::number)
                .toList());
    }

    /** A base with the parts of cells that were split. @param parts of each of {@code cells}, one after the other, {@code counts} of them */
    @JSExport
    public static String baseWithParts(String base, int[] cells, int[] counts, int[] parts) {
        Map<Integer, List<Integer>> byCell = new HashMap<>();
        for (int i = 0, at = 0; i < cells.length; at += counts[i++]) {
            byCell.put(cells[i], Numbers.listOf(parts).subList(at, at + counts[i]));
        }
        return Base.ofText(base).withParts(byCell).text();
    }

    /**
     * What a piece makes of colours under its topmost shadow.
     *
     * @param colours as 0xAARRGGBB
     * @param wearing the colour that the shadow wears, as 0xRRGGBB; below 0: none
     */
    @JSExport
    public int[] over(int piece, int[] colours, int wearing) {
        Optional<Srgb> worn = wearing < 0 ? Optional.empty() : Optional.of(Srgb.ofPacked(wearing));
        Optional<LaidShadow> shadow = find(pieces.shadow(piece));
        int[] over = new int[colours.length];
        for (int i = 0; i < over.length; i++) {
            int colour = colours[i];
            over[i] = shadow.map(each -> Blending.over(colour, each.shadow(), worn, pieces.level(piece)))
                    .orElse(colour);
        }
        return over;
    }

    private LaidShadow of(int number) {
        return find(number).orElseThrow();
    }

    private Optional<LaidShadow> find(int number) {
        return laid.stream().filter(each -> each.shadow().number() == number).findFirst();
    }
}
