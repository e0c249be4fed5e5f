package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

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
        List<Integer> pixels = paperOf(closure);
        if (pixels.isEmpty() || crossed(pixels) > MAX_CROSSED || doubles(pixels)) {
            return;
        }
        pixels.forEach(pixel -> owner[pixel] = kept.size());
        kept.add(closure);
    }

    private List<Integer> paperOf(Closure closure) {
        List<Integer> pixels = new ArrayList<>();
        LineRaster.forEach(closure.line(), page.width(), page.height(), pixel -> {
            if (!page.ink()[pixel]) {
                pixels.add(pixel);
            }
        });
        return pixels;
    }

    private int crossed(List<Integer> pixels) {
        Set<Integer> crossed = new HashSet<>();
        for (int pixel : pixels) {
            if (owner[pixel] != FREE) {
                crossed.add(owner[pixel]);
            }
        }
        return crossed.size();
    }

    private boolean doubles(List<Integer> pixels) {
        Map<Integer, Integer> near = new HashMap<>();
        int reach = (int) Math.ceil(DOUBLING * page.strokePx());
        for (int pixel : pixels) {
            for (int other : ownersAround(pixel, reach)) {
                near.merge(other, 1, Integer::sum);
            }
        }
        return near.values().stream().anyMatch(count -> count >= DOUBLING_SHARE * pixels.size());
    }

    private Set<Integer> ownersAround(int pixel, int reach) {
        Set<Integer> owners = new HashSet<>();
        int x = pixel % page.width();
        int y = pixel / page.width();
        for (int ny = Math.max(0, y - reach); ny <= Math.min(page.height() - 1, y + reach); ny++) {
            for (int nx = Math.max(0, x - reach); nx <= Math.min(page.width() - 1, x + reach); nx++) {
                int found = owner[ny * page.width() + nx];
                if (found != FREE) {
                    owners.add(found);
                }
            }
        }
        return owners;
    }
}
