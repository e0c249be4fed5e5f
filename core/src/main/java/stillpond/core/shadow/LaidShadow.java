package stillpond.core.shadow;

import java.util.Set;
import java.util.stream.IntStream;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.Enclosed;

/** A shadow together with the cells of its base, ready to be laid over pixels. */
public final class LaidShadow {

    /** Edges that follow pixels are softened a little, or their steps would be seen. */
    private static final double LEAST_EDGE_PX = 3;
    /** From here on a soft edge is so wide that its levels are mixed pixel by pixel, lest their steps be seen. */
    private static final double MIXED_EDGE_PX = 6;

    /** The thresholds of ordered mixing (B. Bayer, 1973), in sixteenths. */
    private static final int[] BAYER = {0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5};

    private final Shadow shadow;
    private final boolean[] base;
    private final boolean[] holes;
    private final double halfStrokePx;
    private final Box box;
    private final Box page;

    private LaidShadow(Shadow shadow, boolean[] base, boolean[] holes, double halfStrokePx, Box box, Box page) {
        this.shadow = shadow;
        this.base = base;
        this.holes = holes;
        this.halfStrokePx = halfStrokePx;
        this.box = box;
        this.page = page;
    }

    /**
     * @param cells of its base, those that the layer has
     * @param strokePx how wide strokes are on the layer: cells reach to the middle of the ink, while widths are measured from its edge
     * @param scale how large the picture is that it is laid on, 1 for the layer itself
     */
    public static LaidShadow of(Shadow shadow, Set<Integer> cells, CellGraph graph, double strokePx, double scale) {
        boolean[] base = new boolean[graph.count()];
        Box around = null;
        for (int cell : cells) {
            if (cell >= 0 && cell < base.length) {
                base[cell] = true;
                Box each = graph.cells().get(cell).box();
                around = around == null ? each : around.with(each);
            }
        }
        Shadow scaled = scale == 1 ? shadow : shadow.placed(Form.Placed.scaled(scale));
        double halfStroke = strokePx * scale / 2;
        Box page = new Box(0, 0, (int) Math.max(1, Math.round(graph.widthPx() * scale)), (int)
                Math.max(1, Math.round(graph.heightPx() * scale)));
        if (around == null) {
            return new LaidShadow(scaled, base, new boolean[0], halfStroke, Boxes.EMPTY, page);
        }
        boolean[] holes = new boolean[graph.count()];
        if (shadow.form() instanceof Form.Rim rim && rim.fillsHoles()) {
            Enclosed.by(
                            graph,
                            IntStream.range(0, base.length)
                                    .filter(cell -> base[cell])
                                    .boxed()
                                    .toList())
                    .forEach(cell -> holes[cell] = !base[cell]);
        }
        Box laid = scale == 1 ? around : Boxes.scaled(around, scale);
        if (scaled.form() instanceof Form.Drawn drawn) {
            Box shape = Boxes.around(drawn.outline().polygon());
            laid = laid.common(Boxes.grown(shape, scaled.edgePx() / 2 + 1));
        } else if (scaled.form() instanceof Form.Rim rim) {
            laid = Boxes.grown(laid, reach(rim, halfStroke) + scaled.edgePx() / 2 + 1);
        }
        return new LaidShadow(scaled, base, holes, halfStroke, laid.common(page), page);
    }

    private static double reach(Form.Rim rim, double halfStroke) {
        return (rim.widthPx() + halfStroke) * (rim.corners() == Form.Corners.MITRED ? MitredCorners.LIMIT : 1);
    }

    public Shadow shadow() {
        return shadow;
    }

    /** Where it may show something; empty if nowhere. */
    public Box box() {
        return box.hasPixels() ? box : Boxes.EMPTY;
    }

    /** How far around some pixels cells must be known to lay it there. */
    public double marginPx() {
        if (shadow.form() instanceof Form.Rim rim) {
            return reach(rim, halfStrokePx) + edge() + 2;
        }
        if (shadow.form() instanceof Form.SoftEdge soft) {
            return soft.widthPx() + halfStrokePx + 3;
        }
        return shadow.form() instanceof Form.OneSide side ? side.widthPx() + halfStrokePx + edge() + 2 : 0;
    }

    private double edge() {
        if (shadow.form() instanceof Form.SoftEdge soft) {
            return 2 * soft.widthPx();
        }
        boolean isSoftByItself = shadow.form() instanceof Form.Drawn || shadow.form() instanceof Form.Grain;
        return isSoftByItself ? shadow.edgePx() : Math.max(LEAST_EDGE_PX, shadow.edgePx());
    }

    /** Lays it over some pixels. @param numbers of the pixels of a box, which it changes */
    void lay(CellWindow window, Box inner, int[] numbers, Pieces pieces) {
        Box area = inner.common(box);
        if (!area.hasPixels()) {
            return;
        }
        Mask mask = coverage(window, area);
        boolean isRim = shadow.isRim();
        boolean liesUnder = shadow.form() instanceof Form.Rim rim && rim.liesUnder();
        for (int y = area.yStart(); y < area.yEndExclusive(); y++) {
            int i = (y - inner.yStart()) * inner.widthPx() + area.xStart() - inner.xStart();
            for (int x = area.xStart(); x < area.xEndExclusive(); x++, i++) {
                int covered = mask.at(x, y);
                if (covered == 0) {
                    continue;
                }
                boolean isBase = base[window.at(x, y)];
                if (isBase == isRim && !liesUnder) {
                    continue;
                }
                int level = level(covered, x, y);
                if (level > 0) {
                    int asked = isRim && isBase ? Pieces.LEVELS + level : level;
                    numbers[i] = pieces.under(numbers[i], shadow.number(), asked);
                }
            }
        }
    }

    /** Whether anything of it is to be seen. */
    public boolean shows(CellWindow window) {
        Box area = window.box().common(box);
        if (!area.hasPixels()) {
            return false;
        }
        int[] numbers = new int[area.widthPx() * area.heightPx()];
        Pieces pieces = new Pieces(base.length);
        lay(window, area, numbers, pieces);
        return pieces.count() > base.length;
    }

    private int level(int covered, int x, int y) {
        if (edge() < MIXED_EDGE_PX) {
            return (covered * Pieces.LEVELS + Mask.WHOLE / 2) / Mask.WHOLE;
        }
        int threshold = 2 * BAYER[(y & 3) * 4 + (x & 3)] + 1;
        return Math.min(Pieces.LEVELS, (covered * Pieces.LEVELS * 32 + threshold * Mask.WHOLE) / (32 * Mask.WHOLE));
    }

    private Mask coverage(CellWindow window, Box area) {
        Box looked = Boxes.grown(area, around());
        boolean isOnPageAlone = shadow.form() instanceof Form.Rim;
        // Beyond the page there is no base that a rim could come from, however wide it is.
        Mask mask = shape(window, isOnPageAlone ? looked.common(Boxes.grown(page, edge())) : looked);
        mask.soften(edge());
        if (shadow.form() instanceof Form.SoftEdge) {
            mask.doubled();
        }
        if (shadow.form() instanceof Form.Rim rim && rim.fillsHoles()) {
            coverHoles(window, mask);
        }
        return mask;
    }

    /** Softening looks so far around; a rim must also know the base from which it comes. */
    private double around() {
        double soft = edge() / 2 + 2;
        if (shadow.form() instanceof Form.SoftEdge) {
            return soft + halfStrokePx;
        }
        return shadow.form() instanceof Form.Rim rim ? soft + reach(rim, halfStrokePx) : soft;
    }

    private Mask shape(CellWindow window, Box box) {
        if (shadow.form() instanceof Form.Drawn drawn) {
            return Mask.inside(drawn.outline().polygon(), box);
        }
        if (shadow.form() instanceof Form.OneSide side) {
            return oneSide(side, window, box);
        }
        if (shadow.form() instanceof Form.Grain grain) {
            Specks specks = new Specks(grain.sizePx(), grain.seed());
            Mask mask = new Mask(box);
            forEach(box, (i, x, y) -> mask.covered[i] = (byte) specks.at(x, y));
            return mask;
        }
        if (shadow.form() instanceof Form.SoftEdge) {
            Mask outside = new Mask(box);
            forEach(box, (i, x, y) -> outside.covered[i] = isBase(window, x, y) ? 0 : (byte) Mask.WHOLE);
            return outside.widened(halfStrokePx);
        }
        Form.Rim rim = (Form.Rim) shadow.form();
        Mask figure = new Mask(box);
        forEach(box, (i, x, y) -> figure.covered[i] = isBase(window, x, y) ? (byte) Mask.WHOLE : 0);
        Mask wide = figure.widened(rim.widthPx() + halfStrokePx);
        if (rim.corners() == Form.Corners.MITRED) {
            MitredCorners.add(figure, rim.widthPx() + halfStrokePx, wide);
        }
        return wide;
    }

    private Mask oneSide(Form.OneSide side, CellWindow window, Box box) {
        double length = side.widthPx() + halfStrokePx;
        int dx = (int) Math.round(length * Math.cos(Math.toRadians(side.degrees())));
        int dy = (int) Math.round(length * Math.sin(Math.toRadians(side.degrees())));
        Mask mask = new Mask(box);
        forEach(box, (i, x, y) -> mask.covered[i] = isBase(window, x + dx, y + dy) ? 0 : (byte) Mask.WHOLE);
        return mask;
    }

    private void coverHoles(CellWindow window, Mask mask) {
        forEach(mask.box, (i, x, y) -> {
            int cell = window.at(x, y);
            if (cell >= 0 && holes[cell]) {
                mask.covered[i] = (byte) Mask.WHOLE;
            }
        });
    }

    private boolean isBase(CellWindow window, int x, int y) {
        int cell = window.at(x, y);
        return cell >= 0 && base[cell];
    }

    private interface AtPixel {
        void pixel(int index, int x, int y);
    }

    private static void forEach(Box box, AtPixel each) {
        for (int y = box.yStart(), i = 0; y < box.yEndExclusive(); y++) {
            for (int x = box.xStart(); x < box.xEndExclusive(); x++, i++) {
                each.pixel(i, x, y);
            }
        }
    }
}
