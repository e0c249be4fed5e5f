package stillpond.core.cut;

import stillpond.core.refusal.Refusal;

/**
 * How pieces are cut.
 *
 * @param bladeOffsetMm how far the tip of a drag knife trails behind the axis that it swivels on; 0 to 2
 * @param leadInMm how long the blade goes straight before a cut, to be turned the right way; 0 to 10
 * @param smallestMm2 pieces with less area cannot be handled; 0 to 10,000
 * @param small what becomes of them
 * @param weedMarginMm how far around pieces the waste is cut, so that it comes off in parts; 0: not at all, up to 50
 * @param feedMmPerSecond while cutting, 1 to 1000
 */
public record CutSettings(
        double bladeOffsetMm,
        double leadInMm,
        double smallestMm2,
        Small small,
        double weedMarginMm,
        double feedMmPerSecond) {

    /** What becomes of a piece that is too small to handle. */
    public enum Small {
        LEFT_OUT,
        /** Cut as a part of the neighbour that it borders most; left out where none is cut. */
        JOINED
    }

    /** For film on a backing, with a common drag knife. */
    public static final CutSettings USUAL = new CutSettings(0.25, 1, 4, Small.JOINED, 3, 150);

    public CutSettings {
        within(bladeOffsetMm, 0, 2, "The blade trails");
        within(leadInMm, 0, 10, "A lead-in is");
        within(weedMarginMm, 0, 50, "The waste is cut");
        if (!(smallestMm2 >= 0 && smallestMm2 <= 10_000)) {
            throw new Refusal("The smallest piece has 0 to 10,000 mm².");
        }
        if (!(feedMmPerSecond >= 1 && feedMmPerSecond <= 1000)) {
            throw new Refusal("A blade goes 1 to 1000 mm in a second.");
        }
    }

    private static void within(double value, int least, int most, String what) {
        if (!(value >= least && value <= most)) {
            throw new Refusal(what + " " + least + " to " + most + " mm.");
        }
    }
}
