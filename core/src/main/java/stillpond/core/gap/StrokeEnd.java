package stillpond.core.gap;

/**
 * Where a stroke stops.
 *
 * @param number from 0, in reading order
 * @param root the last place on the stroke's middle line, in ink
 * @param tip the outermost place of its ink
 * @param direction of length 1, out of the stroke
 * @param curvature how the stroke turns towards its end, in radians a pixel; positive: to the right, as x grows rightwards and y downwards
 * @param radiusPx half its width near the end
 * @param taper how wide the stroke is at its end beside a little further in: 1 where it stops bluntly, towards 0 where it thins out
 * @param branchPx how long the stroke is from here to its first crossing or its other end
 * @param isolated whether that is its other end: the stroke touches nothing
 */
record StrokeEnd(
        int number,
        Point root,
        Point tip,
        Point direction,
        double curvature,
        double radiusPx,
        double taper,
        double branchPx,
        boolean isolated) {}
