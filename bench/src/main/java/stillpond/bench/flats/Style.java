package stillpond.bench.flats;

import java.util.Random;

/**
 * How a generated drawing is inked.
 *
 * @param sidePx of the square page
 * @param strokePx width of its strokes
 * @param taper 0 to 1: how much strokes thin out to their ends
 * @param shake how far strokes wander, in stroke widths
 * @param gapsAStroke how many gaps a long stroke has on average
 * @param shortEnds how many of the ends at another stroke stop short of it, 0 to 1
 * @param longestGap in stroke widths; the shortest is a half
 * @param dashed share of outlines that are dashed
 * @param marks how many marks that bound nothing are drawn in a shape on average
 * @param scan whether paper, noise and compression of a scan lie over it
 */
public record Style(
        int sidePx,
        double strokePx,
        double taper,
        double shake,
        double gapsAStroke,
        double shortEnds,
        double longestGap,
        double dashed,
        double marks,
        boolean scan) {

    public static Style random(Random random, boolean heldOut) {
        int side = heldOut ? 700 + random.nextInt(1300) : 600 + random.nextInt(900);
        double stroke = side / (heldOut ? 50 + 90 * random.nextDouble() : 60 + 70 * random.nextDouble());
        double gappy = random.nextDouble();
        return new Style(
                side,
                stroke,
                random.nextDouble() < 0.5 ? 0 : random.nextDouble(),
                random.nextDouble() < 0.5 ? 0 : 0.4 * random.nextDouble(),
                gappy < 0.2 ? 0 : 1.6 * gappy * random.nextDouble(),
                gappy < 0.2 ? 0 : 0.7 * random.nextDouble(),
                heldOut ? 8 : 3 + 4 * random.nextDouble(),
                random.nextDouble() < 0.12 ? 0.3 : 0,
                random.nextDouble() < 0.3 ? 0 : 2.2 * random.nextDouble(),
                random.nextDouble() < 0.25);
    }
}
