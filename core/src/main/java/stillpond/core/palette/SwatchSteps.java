package stillpond.core.palette;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/** Swatches in even steps from one to the next, or around the circle of hues, tied to those that they come from. */
public final class SwatchSteps {

    public static final int MOST = 360;

    /** Chroma is told apart so finely. */
    private static final double CHROMA_STEP = 1e-4;

    /** Shares of mixes are told apart so finely. */
    private static final double SHARES = 1e6;

    private SwatchSteps() {}

    /** A swatch that steps begin at, or lead to. */
    public record From(UUID swatch, Srgb colour) {}

    /**
     * One step.
     *
     * @param same the swatch that it is, if it is one of those that steps begin at or lead to
     * @param paint what it is made of otherwise
     */
    public record Step(Optional<UUID> same, Srgb colour, Paint paint) {}

    /**
     * Even steps in OKLab along swatches.
     *
     * @param swatches two or more; the first and the last are among the steps
     * @param count of all steps, 2 to 360
     */
    public static List<Step> between(List<From> swatches, int count) {
        requireCount(count, 2);
        return Mixing.places(swatches.stream().map(From::colour).toList(), count).stream()
                .map(at -> mixed(swatches.get(at.leg()), swatches.get(at.leg() + 1), at.share()))
                .toList();
    }

    /** From each swatch to the next and back to the first, with so many even steps in between. */
    public static List<Step> circle(List<From> swatches, int between) {
        requireCount(swatches.size() * (between + 1), swatches.size());
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < swatches.size(); i++) {
            for (int step = 0; step <= between; step++) {
                steps.add(mixed(swatches.get(i), swatches.get((i + 1) % swatches.size()), step / (between + 1.0)));
            }
        }
        return steps;
    }

    private static Step mixed(From first, From second, double share) {
        double kept = Math.round(share * SHARES) / SHARES;
        boolean isOne = kept == 0 || kept == 1;
        From one = kept == 0 ? first : second;
        Paint paint = new Paint.Tied(first.swatch(), new Tie.Mix(second.swatch(), kept));
        return new Step(
                isOne ? Optional.of(one.swatch()) : Optional.empty(),
                isOne ? one.colour() : Mixing.mix(first.colour(), second.colour(), kept),
                paint);
    }

    /**
     * Hues in even steps all around, of one lightness and chroma: those of a colour, with no more chroma than can be shown of every hue.
     *
     * @param count of hues, 2 to 360; the colour's own is the first
     */
    public static List<Step> around(From from, int count) {
        requireCount(count, 2);
        Oklch first = Oklch.of(from.colour());
        double chroma = common(first, count);
        double less = Math.round((chroma - first.chroma()) / CHROMA_STEP) * CHROMA_STEP;
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double turn = 360.0 * i / count;
            Tie shift = new Tie.Shift(0, less, turn > 180 ? turn - 360 : turn);
            boolean isSame = i == 0 && less == 0;
            steps.add(new Step(
                    isSame ? Optional.of(from.swatch()) : Optional.empty(),
                    shift.of(from.colour(), any -> from.colour()),
                    new Paint.Tied(from.swatch(), shift)));
        }
        return steps;
    }

    /** The most chroma, up to a colour's own, that can be shown of all hues of its lightness. */
    private static double common(Oklch colour, int count) {
        double low = 0;
        double high = colour.chroma();
        if (isShownAllAround(colour, high, count)) {
            return high;
        }
        while (high - low > CHROMA_STEP / 2) {
            double middle = (low + high) / 2;
            if (isShownAllAround(colour, middle, count)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low - CHROMA_STEP;
    }

    private static boolean isShownAllAround(Oklch colour, double chroma, int count) {
        for (int i = 1; i < count; i++) {
            Oklch hue = new Oklch(colour.lightness(), chroma, (colour.hue() + 360.0 * i / count) % 360);
            if (Gamut.show(hue).wasOutside()) {
                return false;
            }
        }
        return true;
    }

    private static void requireCount(int count, int least) {
        if (count < least || count > MOST) {
            throw new Refusal("Steps are " + least + " to " + MOST + ", not " + count + ".");
        }
    }
}
