package stillpond.core.fill;

/**
 * How a span lies beside the one that its fill was begun with, in the numbers by which somebody sets it.
 *
 * @param percent how long it is, in percent of that one
 * @param degrees how far it is turned clockwise from the right
 * @param rightPx how far its start is shifted to the right
 * @param downPx how far down
 */
public record SpanPlace(int percent, int degrees, int rightPx, int downPx) {

    public static SpanPlace of(Span begun, Span span) {
        return new SpanPlace(
                (int) Math.floor(100 * span.lengthPx() / begun.lengthPx() + 0.5),
                span.degrees(),
                span.x1() - begun.x1(),
                span.y1() - begun.y1());
    }

    /** The span that lies so. */
    public Span beside(Span begun) {
        double length = Math.max(1, Math.floor(begun.lengthPx() * percent / 100 + 0.5));
        return Span.from(begun.x1() + rightPx, begun.y1() + downPx, length, degrees);
    }

    /** Turned to the next step. @param step in degrees; below 0: counterclockwise */
    public SpanPlace turned(int step) {
        return new SpanPlace(percent, step * (Math.floorDiv(degrees, step) + 1), rightPx, downPx);
    }
}
