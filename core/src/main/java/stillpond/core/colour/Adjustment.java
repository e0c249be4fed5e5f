package stillpond.core.colour;

import java.util.Optional;
import stillpond.core.refusal.Refusal;

/**
 * One shift, in OKLCH, for many colours at once.
 *
 * @param lightness -1 to 1
 * @param chroma -0.4 to 0.4
 * @param hueDegrees -180 to 180
 * @param only the hues that it concerns; empty: all
 * @param sparesSkin whether colours such as skin has stay as they are
 * @param sparesNeutrals whether greys and near greys stay as they are
 */
public record Adjustment(
        double lightness,
        double chroma,
        double hueDegrees,
        Optional<HueRange> only,
        boolean sparesSkin,
        boolean sparesNeutrals) {

    /** Chroma up to which a colour passes for grey, and from which it surely is none; between them the shift fades in. */
    private static final double GREY = 0.02;

    private static final double SURELY_COLOURED = 0.045;

    /** Skin of every tone lies between these hues, in OKLCH, and is neither grey nor as strong as an orange. Set by hand, so that light and dark tones fall inside; not taken from a standard. */
    private static final HueRange SKIN = new HueRange(55, 46, 12);

    private static final double LEAST_SKIN_CHROMA = 0.025;
    private static final double MOST_SKIN_CHROMA = 0.125;

    /** Even steps of what is seen. */
    private static final double LIGHTNESS_STEP = 0.02;

    private static final double CHROMA_STEP = 0.01;

    /** A shift by so many even steps of lightness and of chroma, up or down. */
    public static Adjustment inSteps(
            int lightness,
            int chroma,
            double hueDegrees,
            Optional<HueRange> only,
            boolean sparesSkin,
            boolean sparesNeutrals) {
        return new Adjustment(
                LIGHTNESS_STEP * lightness, CHROMA_STEP * chroma, hueDegrees, only, sparesSkin, sparesNeutrals);
    }

    public Adjustment {
        requireWithin("lightness", lightness, 1);
        requireWithin("chroma", chroma, 0.4);
        requireWithin("hue", hueDegrees, 180);
    }

    private static void requireWithin(String what, double value, double limit) {
        if (!(Math.abs(value) <= limit)) {
            throw new Refusal("A shift of " + what + " is " + -limit + " to " + limit + ", not " + value + ".");
        }
    }

    /**
     * Hues around a middle, with soft edges.
     *
     * @param middleDegrees 0 to 360
     * @param widthDegrees of what is concerned wholly, 0 to 360
     * @param softDegrees over which it fades on either side, 0 to 180
     */
    public record HueRange(double middleDegrees, double widthDegrees, double softDegrees) {
        public HueRange {
            if (!(widthDegrees >= 0 && widthDegrees <= 360 && softDegrees >= 0 && softDegrees <= 180)) {
                throw new Refusal("A range of hues is up to 360 degrees wide and soft over up to 180.");
            }
        }

        /** 1 inside, 0 outside, between them in the soft edges. */
        double weight(double hueDegrees) {
            double beyond = Math.abs(Hue.arc(middleDegrees, hueDegrees)) - widthDegrees / 2;
            return beyond <= 0 ? 1 : softDegrees == 0 ? 0 : Math.max(0, 1 - beyond / softDegrees);
        }
    }

    /** The colour adjusted, brought into sRGB at its lightness and hue. */
    public Srgb of(Srgb colour) {
        Oklch from = Oklch.of(colour);
        double weight = weight(from);
        if (weight == 0) {
            return colour;
        }
        return Gamut.show(from.shifted(weight * lightness, weight * chroma, weight * hueDegrees))
                .colour();
    }

    private double weight(Oklch colour) {
        double coloured = ramp(colour.chroma(), GREY, SURELY_COLOURED);
        double weight = only.map(range -> range.weight(colour.hue()) * coloured).orElse(1.0);
        if (sparesNeutrals) {
            weight *= coloured;
        }
        if (sparesSkin && colour.chroma() > LEAST_SKIN_CHROMA) {
            weight *= 1
                    - SKIN.weight(colour.hue())
                            * (1 - ramp(colour.chroma(), MOST_SKIN_CHROMA, MOST_SKIN_CHROMA + GREY));
        }
        return weight;
    }

    private static double ramp(double value, double from, double to) {
        return Math.max(0, Math.min(1, (value - from) / (to - from)));
    }
}
