package stillpond.core.ledger;

/** Where something lies on a small map, found run by run, row after row. */
final class RunSurvey {

    private int pixels;
    private int xStart = Integer.MAX_VALUE;
    private int xEnd;
    private int yStart = Integer.MAX_VALUE;
    private int yEnd;
    private int longestRun;
    private int x;
    private int y;

    void addRun(int from, int endExclusive, int row) {
        int length = endExclusive - from;
        pixels += length;
        xStart = Math.min(xStart, from);
        xEnd = Math.max(xEnd, endExclusive);
        yStart = Math.min(yStart, row);
        yEnd = row + 1;
        if (length > longestRun) {
            longestRun = length;
            x = from + length / 2;
            y = row;
        }
    }

    /** The middle of the longest run. */
    int x() {
        return x;
    }

    int y() {
        return y;
    }

    PartsOnSheet.Place place(int cell) {
        return new PartsOnSheet.Place(0, cell, x, y, xStart, yStart, xEnd - xStart, yEnd - yStart, pixels);
    }
}
