package stillpond.core.colour;

/** "The same, but": one even step of what is seen. Lightness and chroma move in OKLCH; warmth turns the hue towards orange or blue, by the shorter arc. */
public enum Nudge {
    DARKER,
    LIGHTER,
    DULLER,
    STRONGER,
    WARMER,
    COOLER;

    private static final double LIGHTNESS_STEP = 0.04;
    private static final double CHROMA_STEP = 0.02;
    private static final double HUE_STEP = 8;
    /** The hues that count as warmest and coolest, in OKLCH. */
    private static final double WARMEST = 55;

    private static final double COOLEST = 245;

    public Oklch of(Oklch colour) {
        return switch (this) {
            case DARKER -> colour.shifted(-LIGHTNESS_STEP, 0, 0);
            case LIGHTER -> colour.shifted(LIGHTNESS_STEP, 0, 0);
            case DULLER -> colour.shifted(0, -CHROMA_STEP, 0);
            case STRONGER -> colour.shifted(0, CHROMA_STEP, 0);
            case WARMER -> turned(colour, WARMEST);
            case COOLER -> turned(colour, COOLEST);
        };
    }

    public Srgb of(Srgb colour) {
        return Gamut.show(of(Oklch.of(colour))).colour();
    }

    private static Oklch turned(Oklch colour, double pole) {
        double arc = Hue.arc(colour.hue(), pole);
        return colour.shifted(0, 0, Math.copySign(Math.min(HUE_STEP, Math.abs(arc)), arc));
    }
}
