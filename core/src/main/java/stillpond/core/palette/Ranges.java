package stillpond.core.palette;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import stillpond.core.colour.Oklch;

/** Ranges that grow from sampled colours: what lies between two of them, and lighter, darker, warmer and cooler families of each. Every step is tied to what it grows from. */
public final class Ranges {

    /** The hues that are called warm and cool, in degrees of OKLCH: those of orange and of azure. */
    private static final double WARM = 60;

    private static final double COOL = 240;
    /** How far towards them, towards white and towards black the last step of a family goes. */
    private static final double FURTHEST_TURN = 40;

    private static final double LIGHTEST_PERCENT = 75;
    private static final double DARKEST_PERCENT = 70;
    /** Below this a colour has no hue that could turn; it takes some of the warm or cool one. */
    private static final double GREY = 0.02;

    private static final double TAKEN_CHROMA = 0.03;

    private Ranges() {}

    /** A row of steps. @param words what it is */
    public record Range(String words, List<SwatchSteps.Step> steps) {}

    /**
     * @param samples in their order, by names
     * @param count of steps of each family, 1 to 9; of those between two colours
     */
    public static List<Range> of(List<Named> samples, int count) {
        List<Range> ranges = new ArrayList<>();
        for (int i = 0; i + 1 < samples.size(); i++) {
            Named from = samples.get(i);
            Named to = samples.get(i + 1);
            List<SwatchSteps.Step> all = SwatchSteps.between(List.of(from.from(), to.from()), count + 2);
            ranges.add(new Range(from.name() + " to " + to.name(), all.subList(1, count + 1)));
        }
        for (Named sample : samples) {
            ranges.add(family(
                    sample.name() + ", lighter",
                    sample,
                    count,
                    share -> new Tie.Tint(whole(LIGHTEST_PERCENT * share))));
            ranges.add(family(
                    sample.name() + ", darker", sample, count, share -> new Tie.Shade(whole(DARKEST_PERCENT * share))));
            ranges.add(family(sample.name() + ", warmer", sample, count, share -> turned(sample, WARM, share)));
            ranges.add(family(sample.name() + ", cooler", sample, count, share -> turned(sample, COOL, share)));
        }
        return ranges;
    }

    /** A sample with its name. */
    public record Named(String name, SwatchSteps.From from) {}

    private interface Making {
        Tie at(double share);
    }

    private static Range family(String words, Named sample, int count, Making making) {
        List<SwatchSteps.Step> steps = new ArrayList<>();
        for (int step = 1; step <= count; step++) {
            Tie tie = making.at(step / (double) count);
            steps.add(new SwatchSteps.Step(
                    Optional.empty(),
                    tie.of(sample.from().colour(), any -> sample.from().colour()),
                    new Paint.Tied(sample.from().swatch(), tie)));
        }
        return new Range(words, steps);
    }

    /** By the shorter way around the circle. */
    private static Tie turned(Named sample, double towards, double share) {
        Oklch colour = Oklch.of(sample.from().colour());
        double way = (towards - colour.hue() + 540) % 360 - 180;
        if (colour.chroma() < GREY) {
            return new Tie.Shift(0, hundredths(TAKEN_CHROMA * share), hundredths(way));
        }
        double turn = Math.signum(way) * Math.min(Math.abs(way), FURTHEST_TURN) * share;
        return new Tie.Shift(0, 0, hundredths(turn));
    }

    private static double whole(double value) {
        return Math.round(value);
    }

    private static double hundredths(double value) {
        return Math.round(value * 100) / 100.0;
    }
}
