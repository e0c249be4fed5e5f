package stillpond.core.gap;

import java.util.List;
import stillpond.core.cell.PairCounts;

/**
 * What is known of the pieces of a page when it is judged which of them belong together: what was measured of each, and what lies between those that meet. No
 * pixels any more. Lengths in stroke widths.
 *
 * @param area in stroke widths squared, by piece
 * @param depth how far its deepest place is from ink
 * @param frame its share of the edge of the page
 * @param parts where pieces meet with no ink between, in {@link Part#ORDER}
 * @param closures those that part them, the most promising first
 * @param ties what each closure ties together
 * @param inkBorders pairs of pieces, lower number first, with the length of ink between them in pixels of the search page
 * @param searchStrokePx how wide strokes are on the search page
 * @param scale pixels of the search page for one of the page
 * @param drawing the kind of drawing that it is
 */
record PieceGraph(
        double[] area,
        double[] depth,
        double[] frame,
        List<Part> parts,
        List<Closure> closures,
        List<InkBodies.Tie> ties,
        PairCounts inkBorders,
        double searchStrokePx,
        double scale,
        Drawing drawing) {

    /**
     * What the whole page is like: busy brush work wants few dams, thin airy line many.
     *
     * @param pageArea in stroke widths squared
     * @param inkShare how much of the page is ink
     * @param ends stroke ends for each hundred squared stroke widths of ink
     * @param closures kept ones for each hundred squared stroke widths of ink
     */
    record Drawing(double pageArea, double inkShare, double ends, double closures) {

        /** In the order of {@link #numbers}. */
        static final List<String> NAMES = List.of("pageArea", "pageInk", "pageEnds", "pageClosures");

        double[] numbers() {
            return new double[] {
                BetweenFeatures.log(pageArea), inkShare, BetweenFeatures.log(ends), BetweenFeatures.log(closures),
            };
        }
    }

    int count() {
        return area.length;
    }

    /** Length in stroke widths of a stretch of so many wall pixels on the page. */
    double strokes(double pagePixels) {
        return pagePixels * scale / searchStrokePx;
    }

    double inkStrokes(long searchPixels) {
        return searchPixels / searchStrokePx;
    }

    double closureStrokes(int closure) {
        return closures.get(closure).lengthPx() / searchStrokePx;
    }

    /** How much of a closure parts two pieces: no more than it is long. */
    double strokes(Part part) {
        return Math.min(closureStrokes(part.closure()), strokes(part.pixels()));
    }

    /** For each piece the number of the connected paper that it lies in; closures do not part it. */
    int[] paper() {
        DisjointSets sets = new DisjointSets(count());
        parts.forEach(part -> sets.join(part.first(), part.second()));
        return sets.numbered();
    }
}
