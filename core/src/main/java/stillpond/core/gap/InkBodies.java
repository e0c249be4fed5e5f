package stillpond.core.gap;

import java.util.Arrays;

/** What hangs together of the ink: an outline with all that touches it is one body, a loose mark another. Pixels touch at corners too. */
final class InkBodies {

    private static final int NONE = -1;

    private final int width;
    private final int height;
    private final boolean[] ink;
    private final int[] body;
    private int[] area = new int[256];
    private int count;

    private InkBodies(SearchPage page) {
        this.width = page.width();
        this.height = page.height();
        this.ink = page.ink();
        this.body = new int[ink.length];
        Arrays.fill(body, NONE);
    }

    static InkBodies of(SearchPage page) {
        InkBodies bodies = new InkBodies(page);
        int[] front = new int[1024];
        for (int i = 0; i < bodies.ink.length; i++) {
            if (bodies.ink[i] && bodies.body[i] == NONE) {
                front = bodies.flood(i, front);
            }
        }
        return bodies;
    }

    private int[] flood(int first, int[] given) {
        int[] front = given;
        int size = 0;
        front[size++] = first;
        body[first] = count;
        int pixels = 0;
        while (size > 0) {
            int at = front[--size];
            pixels++;
            int x = at % width;
            for (int y = Math.max(0, at / width - 1); y <= Math.min(height - 1, at / width + 1); y++) {
                for (int beside = Math.max(0, x - 1); beside <= Math.min(width - 1, x + 1); beside++) {
                    int i = y * width + beside;
                    if (ink[i] && body[i] == NONE) {
                        body[i] = count;
                        if (size == front.length) {
                            front = Arrays.copyOf(front, 2 * size);
                        }
                        front[size++] = i;
                    }
                }
            }
        }
        if (count == area.length) {
            area = Arrays.copyOf(area, 2 * count);
        }
        area[count++] = pixels;
        return front;
    }

    /**
     * What a closure ties together.
     *
     * @param isOne whether both its ends lie in one body
     * @param lesser the area of the smaller body, in squared stroke widths; 0 for the edge of the page
     */
    record Tie(boolean isOne, double lesser) {}

    Tie tie(Closure closure, SearchPage page) {
        int start = body[page.index(closure.start())];
        int end = body[page.index(closure.end())];
        double least = Math.min(start == NONE ? 0 : area[start], end == NONE ? 0 : area[end]);
        return new Tie(start == end, least / (page.strokePx() * page.strokePx()));
    }
}
