package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Of all closures found those that are kept: the most promising first, without ones that double or criss-cross better ones. */
final class ClosureNet {

    /**
     * How many closures a page may have. Pages drawn by hand have some hundreds; noise has no end of them, and there the most promising are
     * kept.
     */
    static final int MAX_CLOSURES = 6000;

    private static final int MAX_CROSSED = 2;

    /** One that runs within so many stroke widths of a better one nearly all the way says the same. */
    private static final double DOUBLING = 0.6;

    private static final double DOUBLING_SHARE = 0.8;
    private static final int FREE = -1;

    private final SearchPage page;
    private final int[] owner;
    private final List<Closure> kept = new ArrayList<>();

    /** The paper of the closure that is looked at. */
    private int[] paper = new int[1024];

    /** Of each closure kept: when it was last met, and near how many pixels of the one looked at it runs. */
    private final int[] metIn = new int[MAX_CLOSURES];

    private final int[] near = new int[MAX_CLOSURES];
    private int round;

    private ClosureNet(SearchPage page) {
        this.page = page;
        this.owner = new int[page.width() * page.height()];
        Arrays.fill(owner, FREE);
    }

    static List<Closure> of(SearchPage page, List<Closure> found) {
        ClosureNet net = new ClosureNet(page);
        found.stream()
                .sorted(Comparator.comparingDouble((Closure closure) -> -closure.promise())
                        .thenComparing(Closure::kind)
                        .thenComparingInt(closure -> page.index(closure.start()))
                        .thenComparingInt(closure -> page.index(closure.end())))
                .forEach(net::offer);
        return net.kept;
    }

    private void offer(Closure closure) {
        if (kept.size() == MAX_CLOSURES) {
            return;
        }
        int count = findPaper(closure);
        if (count == 0 || crossed(count) > MAX_CROSSED || doubles(count)) {
            return;
        }
        for (int i = 0; i < count; i++) {
            owner[paper[i]] = kept.size();
        }
        kept.add(closure);
    }

    /** Puts the paper pixels of a closure in the array; returns how many there are. */
    private int findPaper(Closure closure) {
        int[] count = {0};
        LineRaster.forEach(closure.line(), page.width(), page.height(), pixel -> {
            if (!page.ink()[pixel]) {
                if (count[0] == paper.length) {
                    paper = Arrays.copyOf(paper, 2 * paper.length);
                }
                paper[count[0]++] = pixel;
            }
        });
        return count[0];
    }

    private int crossed(int count) {
        round++;
        int crossed = 0;
        for (int i = 0; i < count; i++) {
            int met = owner[paper[i]];
            if (met != FREE && metIn[met] != round) {
                metIn[met] = round;
                crossed++;
            }
        }
        return crossed;
    }

    private boolean doubles(int count) {
        int reach = (int) Math.ceil(DOUBLING * page.strokePx());
        Arrays.fill(near, 0, kept.size(), 0);
        int most = 0;
        for (int i = 0; i < count; i++) {
            most = Math.max(most, countAround(paper[i], reach));
        }
        return most >= DOUBLING_SHARE * count;
    }

    /** Counts each closure that runs near a pixel once; returns the highest count. */
    private int countAround(int pixel, int reach) {
        round++;
        int most = 0;
        int x = pixel % page.width();
        int y = pixel / page.width();
        for (int ny = Math.max(0, y - reach); ny <= Math.min(page.height() - 1, y + reach); ny++) {
            int row = ny * page.width();
            for (int i = row + Math.max(0, x - reach); i <= row + Math.min(page.width() - 1, x + reach); i++) {
                int found = owner[i];
                if (found != FREE && metIn[found] != round) {
                    metIn[found] = round;
                    most = Math.max(most, ++near[found]);
                }
            }
        }
        return most;
    }
}
