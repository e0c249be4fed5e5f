package stillpond.core.handon;

import java.util.Arrays;
import java.util.stream.IntStream;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/** Pictures in another size without any colour that was not there: each pixel has the colour that most of what it covers has. */
final class Resized {

    private static final long MOST_PX = 80_000_000;

    private Resized() {}

    static Picture to(Picture picture, int widthPx, int heightPx) {
        if (widthPx == picture.widthPx() && heightPx == picture.heightPx()) {
            return picture;
        }
        if ((long) widthPx * heightPx > MOST_PX) {
            throw new Refusal("Enlarged, the picture would have " + (long) widthPx * heightPx / 1_000_000
                    + " megapixels; up to " + MOST_PX / 1_000_000 + " can be handed on. Choose a smaller size.");
        }
        int[] argb = new int[widthPx * heightPx];
        IntStream.range(0, heightPx).parallel().forEach(y -> {
            int top = start(y, picture.heightPx(), heightPx);
            int bottom = Math.max(top + 1, start(y + 1, picture.heightPx(), heightPx));
            Votes votes = new Votes();
            for (int x = 0; x < widthPx; x++) {
                int left = start(x, picture.widthPx(), widthPx);
                int right = Math.max(left + 1, start(x + 1, picture.widthPx(), widthPx));
                votes.clear();
                for (int row = top; row < bottom; row++) {
                    for (int column = left; column < right; column++) {
                        votes.add(picture.argb()[row * picture.widthPx() + column]);
                    }
                }
                argb[y * widthPx + x] = votes.most();
            }
        });
        return new Picture(widthPx, heightPx, argb);
    }

    private static int start(int at, int from, int to) {
        return (int) ((long) at * from / to);
    }

    /** How often each colour came up; few do. */
    private static final class Votes {
        private int[] colours = new int[16];
        private int[] counts = new int[16];
        private int size;

        private void clear() {
            size = 0;
        }

        private void add(int colour) {
            for (int i = 0; i < size; i++) {
                if (colours[i] == colour) {
                    counts[i]++;
                    return;
                }
            }
            if (size == colours.length) {
                colours = Arrays.copyOf(colours, 2 * size);
                counts = Arrays.copyOf(counts, 2 * size);
            }
            colours[size] = colour;
            counts[size++] = 1;
        }

        private int most() {
            int most = 0;
            for (int i = 1; i < size; i++) {
                most = counts[i] > counts[most] ? i : most;
            }
            return colours[most];
        }
    }
}
