package stillpond.core.colour;

import java.util.List;
import java.util.Optional;
import stillpond.core.colour.Gamut.Shown;

/** A way to name colours by three numbers, as somebody slides and types them. */
public enum ColourModel {
    /** OKLCH with lightness and chroma in percent of 1. */
    OKLCH("oklch", Channel.percent(100), Channel.percent(37), Channel.DEGREES) {
        @Override
        public double[] numbersOf(Srgb colour) {
            Oklch polar = Oklch.of(colour);
            return new double[] {100 * polar.lightness(), 100 * polar.chroma(), polar.hue()};
        }

        @Override
        Shown of(double first, double second, double third) {
            return Gamut.show(new Oklch(first / 100, second / 100, third));
        }
    },
    RGB("rgb", Channel.EIGHT_BITS, Channel.EIGHT_BITS, Channel.EIGHT_BITS) {
        @Override
        public double[] numbersOf(Srgb colour) {
            return new double[] {colour.red(), colour.green(), colour.blue()};
        }

        @Override
        Shown of(double first, double second, double third) {
            return inside(new Srgb((int) Math.round(first), (int) Math.round(second), (int) Math.round(third)));
        }
    },
    RGB_PERCENT("rgb%", Channel.percent(100), Channel.percent(100), Channel.percent(100)) {
        @Override
        public double[] numbersOf(Srgb colour) {
            return new double[] {colour.red() / 2.55, colour.green() / 2.55, colour.blue() / 2.55};
        }

        @Override
        Shown of(double first, double second, double third) {
            return RGB.of(2.55 * first, 2.55 * second, 2.55 * third);
        }
    },
    HSL("hsl", Channel.DEGREES, Channel.percent(100), Channel.percent(100)) {
        @Override
        public double[] numbersOf(Srgb colour) {
            Hsl hsl = Hsl.of(colour);
            return new double[] {hsl.hue(), 100 * hsl.saturation(), 100 * hsl.lightness()};
        }

        @Override
        Shown of(double first, double second, double third) {
            return inside(new Hsl(first, second / 100, third / 100).srgb());
        }
    },
    HSV("hsv", Channel.DEGREES, Channel.percent(100), Channel.percent(100)) {
        @Override
        public double[] numbersOf(Srgb colour) {
            Hsv hsv = Hsv.of(colour);
            return new double[] {hsv.hue(), 100 * hsv.saturation(), 100 * hsv.value()};
        }

        @Override
        Shown of(double first, double second, double third) {
            return inside(new Hsv(first, second / 100, third / 100).srgb());
        }
    },
    /** Under D50. */
    LAB("lab", Channel.of(0, 100), Channel.of(-128, 127), Channel.of(-128, 127)) {
        @Override
        public double[] numbersOf(Srgb colour) {
            Lab lab = Lab.of(colour, White.D50);
            return new double[] {lab.lightness(), lab.a(), lab.b()};
        }

        @Override
        Shown of(double first, double second, double third) {
            return Gamut.show(Oklab.of(new Lab(first, second, third, White.D50).xyz()));
        }
    },
    /** Under D50. */
    LCH("lch", Channel.of(0, 100), Channel.of(0, 150), Channel.DEGREES) {
        @Override
        public double[] numbersOf(Srgb colour) {
            Lch lch = Lab.of(colour, White.D50).lch();
            return new double[] {lch.lightness(), lch.chroma(), lch.hue()};
        }

        @Override
        Shown of(double first, double second, double third) {
            return Gamut.show(
                    Oklab.of(new Lch(first, second, third, White.D50).lab().xyz()));
        }
    };

    /**
     * What one number may be.
     *
     * @param step between two values that make a difference
     * @param unit as written behind the number; empty for none
     */
    public record Channel(double min, double max, double step, String unit) {
        private static final Channel DEGREES = new Channel(0, 360, 1, "°");
        private static final Channel EIGHT_BITS = new Channel(0, 255, 1, "");

        private static Channel percent(double max) {
            return new Channel(0, max, 0.1, "%");
        }

        private static Channel of(double min, double max) {
            return new Channel(min, max, 0.1, "");
        }

        private double within(double value) {
            // What is no number at all becomes the least.
            return value >= min ? Math.min(max, value) : min;
        }
    }

    private final String id;
    private final List<Channel> channels;

    ColourModel(String id, Channel... channels) {
        this.id = id;
        this.channels = List.of(channels);
    }

    /** The model of an id. */
    public static Optional<ColourModel> find(String id) {
        for (ColourModel model : values()) {
            if (model.id.equals(id)) {
                return Optional.of(model);
            }
        }
        return Optional.empty();
    }

    public String id() {
        return id;
    }

    public List<Channel> channels() {
        return channels;
    }

    /** The numbers of a colour, one for each channel. */
    public abstract double[] numbersOf(Srgb colour);

    abstract Shown of(double first, double second, double third);

    /** The colour of three numbers, each brought into its channel's range, and all into what a screen shows. */
    public Shown show(double[] numbers) {
        return of(
                channels.get(0).within(numbers[0]),
                channels.get(1).within(numbers[1]),
                channels.get(2).within(numbers[2]));
    }

    private static Shown inside(Srgb colour) {
        return new Shown(colour, false);
    }
}
