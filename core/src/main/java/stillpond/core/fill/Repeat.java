package stillpond.core.fill;

import stillpond.core.refusal.Refusal;

/**
 * How each repeat of a pattern is seen.
 *
 * @param mirrored left and right are changed
 * @param flipped top and bottom are
 * @param heightPercent how high it is, in percent of its width: {@value #LEAST_HEIGHT} to {@value #MOST_HEIGHT}
 */
public record Repeat(boolean mirrored, boolean flipped, int heightPercent) {

    public static final int LEAST_HEIGHT = 5;
    public static final int MOST_HEIGHT = 2000;
    private static final int SQUARE = 100;

    /** As it was drawn. */
    public static final Repeat PLAIN = new Repeat(false, false, SQUARE);

    public Repeat {
        if (heightPercent < LEAST_HEIGHT || heightPercent > MOST_HEIGHT) {
            throw new Refusal("A repeat is " + LEAST_HEIGHT + " to " + MOST_HEIGHT + " % as high as wide.");
        }
    }

    /** One that covers a box, as far as it may be that high. */
    Repeat stretchedTo(int widthPx, int heightPx) {
        long percent = Math.floorDiv(2L * SQUARE * heightPx + widthPx, 2L * widthPx);
        return new Repeat(mirrored, flipped, (int) Math.max(LEAST_HEIGHT, Math.min(MOST_HEIGHT, percent)));
    }

    /** One word: plain, mirrored, flipped or both, and behind a colon its height if it is not square. */
    String text() {
        String seen = mirrored ? (flipped ? "both" : "mirrored") : (flipped ? "flipped" : "plain");
        return heightPercent == SQUARE ? seen : seen + ":" + heightPercent;
    }

    static Repeat read(String word) {
        int colon = word.indexOf(':');
        String seen = colon < 0 ? word : word.substring(0, colon);
        int height = colon < 0 ? SQUARE : Integer.parseInt(word.substring(colon + 1));
        return switch (seen) {
            case "plain" -> new Repeat(false, false, height);
            case "mirrored" -> new Repeat(true, false, height);
            case "flipped" -> new Repeat(false, true, height);
            case "both" -> new Repeat(true, true, height);
            default -> throw new Refusal("'" + word + "' says not how a pattern is repeated.");
        };
    }
}
