package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import stillpond.core.cell.Cutting;
import stillpond.core.cell.DistanceField;
import stillpond.core.cell.PairCounts;
import stillpond.core.ink.InkPlane;

/** The page cut along its ink and all closures, and what is measured of the pieces before it is judged which belong together. All lengths in stroke widths. */
final class Pieces {

    private static final int MOST_STEPS = 12;

    private final InkPlane page;
    private final SearchPage search;
    private final List<Closure> closures;
    private final Walls walls;
    private final Cutting cutting;
    private final WallContacts contacts;
    private final PairCounts inkBorders;
    private final double[] area;
    private final double[] depth;
    private final double[] frame;
    private final PieceGraph graph;

    private Pieces(InkPlane page, SearchPage search, List<Closure> closures, int ends) {
        this.page = page;
        this.search = search;
        this.closures = closures;
        // Needs no pieces, so it need not wait for them.
        CompletableFuture<List<InkBodies.Tie>> ties = CompletableFuture.supplyAsync(this::ties);
        this.walls = Walls.of(page, search, closures);
        this.cutting = Cutting.along(page, walls.pixels());
        this.contacts = WallContacts.of(page, walls, cutting.numbers());
        this.area = new double[cutting.count()];
        this.depth = new double[cutting.count()];
        this.frame = new double[cutting.count()];
        this.inkBorders = new PairCounts();
        measure();
        this.graph = new PieceGraph(
                area,
                depth,
                frame,
                contacts.parts(),
                closures,
                ties.join(),
                inkBorders,
                search.strokePx(),
                search.scale(),
                drawing(ends));
    }

    private List<InkBodies.Tie> ties() {
        InkBodies bodies = InkBodies.of(search);
        return closures.stream().map(closure -> bodies.tie(closure, search)).toList();
    }

    private PieceGraph.Drawing drawing(int ends) {
        int inked = 0;
        for (boolean each : search.ink()) {
            inked += each ? 1 : 0;
        }
        double square = search.strokePx() * search.strokePx();
        double hundreds = Math.max(1, inked / square / 100);
        return new PieceGraph.Drawing(
                search.ink().length / square,
                inked / (double) search.ink().length,
                ends / hundreds,
                closures.size() / hundreds);
    }

    static Pieces cut(InkPlane page) {
        return cut(page, ThinnedInk.of(page));
    }

    /** @param thinned of the page */
    static Pieces cut(InkPlane page, ThinnedInk thinned) {
        SearchPage search = thinned.page();
        CompletableFuture<List<Closure>> necks = CompletableFuture.supplyAsync(() -> Necks.find(search));
        List<StrokeEnd> ends = thinned.skeleton().ends();
        List<Closure> found = new ArrayList<>(EndPairs.find(search, ends));
        found.addAll(EndRays.find(search, ends));
        found.addAll(necks.join());
        return new Pieces(page, search, ClosureNet.of(search, found), ends.size());
    }

    Cutting cutting() {
        return cutting;
    }

    List<Closure> closures() {
        return closures;
    }

    PieceGraph graph() {
        return graph;
    }

    /**
     * The stretch of a closure that parts two cells, as points on the page.
     *
     * @param cellOfPiece the cell that each piece has become part of
     */
    List<Point> stretch(int closure, int first, int second, int[] cellOfPiece) {
        List<Point> points = new ArrayList<>();
        contacts.stretch(closure, first, second, cellOfPiece)
                .forEach(pixel -> points.add(new Point(pixel % page.widthPx() + 0.5, pixel / page.widthPx() + 0.5)));
        return thinned(points);
    }

    /** Its ends, and some points between: wall pixels go in steps, and every one of them would be a zigzag. */
    private static List<Point> thinned(List<Point> points) {
        int last = points.size() - 1;
        int step = Math.max(4, last / MOST_STEPS);
        List<Point> thinned = new ArrayList<>();
        for (int i = 0; i < last; i += step) {
            thinned.add(points.get(i));
        }
        thinned.add(points.get(last));
        if (thinned.size() == 1) {
            thinned.add(points.get(0).plus(new Point(0, 0.5)));
        }
        return thinned;
    }

    SearchPage search() {
        return search;
    }

    private void measure() {
        int[] small = sampled();
        measureAreaAndDepth(small);
        measureFrame();
        DistanceField toPaper = DistanceField.to(search.width(), search.height(), i -> small[i] >= 0);
        int[] spread = new int[small.length];
        Arrays.parallelSetAll(spread, i -> {
            int nearest = small[i] >= 0 ? i : toPaper.nearest(i);
            return nearest < 0 ? Cutting.NONE : small[nearest];
        });
        countInkBorders(spread);
    }

    /** The piece at the middle of each pixel of the search page. */
    private int[] sampled() {
        int[] numbers = cutting.numbers();
        int[] columns = middles(search.width(), page.widthPx());
        int[] rows = middles(search.height(), page.heightPx());
        int[] small = new int[search.width() * search.height()];
        IntStream.range(0, rows.length).parallel().forEach(y -> {
            int row = rows[y] * page.widthPx();
            for (int x = 0, i = y * columns.length; x < columns.length; x++, i++) {
                small[i] = numbers[row + columns[x]];
            }
        });
        return small;
    }

    /** Where the middles of the search page's pixels lie along a side of the page. */
    private int[] middles(int count, int pagePx) {
        int[] middles = new int[count];
        Arrays.setAll(middles, i -> Math.min(pagePx - 1, (int) ((i + 0.5) / search.scale())));
        return middles;
    }

    private void measureAreaAndDepth(int[] small) {
        double unit = 1 / (search.strokePx() * search.strokePx());
        for (int i = 0; i < small.length; i++) {
            if (small[i] >= 0) {
                area[small[i]] += unit;
                depth[small[i]] = Math.max(depth[small[i]], search.distanceToInk(i) / search.strokePx());
            }
        }
    }

    private void measureFrame() {
        int width = page.widthPx();
        int height = page.heightPx();
        double share = 1.0 / (2 * (width + height));
        for (int x = 0; x < width; x++) {
            addFrame(x, share);
            addFrame((height - 1) * width + x, share);
        }
        for (int y = 0; y < height; y++) {
            addFrame(y * width, share);
            addFrame(y * width + width - 1, share);
        }
    }

    private void addFrame(int index, double share) {
        int piece = cutting.numbers()[index];
        if (piece >= 0) {
            frame[piece] += share;
        }
    }

    private void countInkBorders(int[] spread) {
        boolean[] ink = search.ink();
        int width = search.width();
        for (int y = 0; y < search.height(); y++) {
            boolean isLast = y == search.height() - 1;
            for (int x = 0, i = y * width; x < width; x++, i++) {
                if (x < width - 1 && (ink[i] || ink[i + 1])) {
                    countEdge(spread[i], spread[i + 1]);
                }
                if (!isLast && (ink[i] || ink[i + width])) {
                    countEdge(spread[i], spread[i + width]);
                }
            }
        }
    }

    private void countEdge(int a, int b) {
        if (a != b && a >= 0 && b >= 0) {
            inkBorders.add(Math.min(a, b), Math.max(a, b), 1);
        }
    }

    /** A line of the search page in pixels of the page. */
    static List<Point> onPage(List<Point> line, double scale) {
        return line.stream().map(point -> point.times(1 / scale)).toList();
    }
}
