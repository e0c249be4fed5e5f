package stillpond.core.plate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.Lab;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.colour.White;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/** Separates a page into plates: process inks by a print condition, and inks of their own. */
public final class Separation {

    private static final List<String> PROCESS = List.of("Cyan", "Magenta", "Yellow", "Black");
    private static final int BLACK = 3;
    private static final int FULL = 255;
    private static final int RGB = 0xffffff;
    /** Neighbours that are nearer than this in CIELAB lightness are steps of one colour, which need no trap. */
    private static final double LIKE = 4;

    private final Page page;
    private final PrintCondition condition;
    private final Inking inking;
    private final int inks;
    /** What each paint prints, ink by ink, and how light it looks; the first one is bare paper. */
    private final List<int[]> printed = new ArrayList<>();

    private final List<Double> lightness = new ArrayList<>();
    private final Map<Paint, Integer> known = new HashMap<>();

    private Separation(Page page, PrintCondition condition, Inking inking) {
        this.page = page;
        this.condition = condition;
        this.inking = inking;
        this.inks = PROCESS.size() + page.spots().inks().size();
        printed.add(new int[inks]);
        lightness.add(Double.POSITIVE_INFINITY);
    }

    /**
     * What is to be separated, all of one size.
     *
     * @param flats with their shadows, without ink; clear where the paper shows
     * @param ink alone, on clear paper
     */
    public record Page(Picture flats, SpotAreas spots, Picture ink) {
        public Page {
            boolean isOneSize = flats.argb().length == ink.argb().length
                    && flats.widthPx() == ink.widthPx()
                    && (spots.inks().isEmpty()
                            || flats.argb().length == spots.plain().argb().length);
            if (!isOneSize) {
                throw new Refusal("What is separated is of one size.");
            }
        }
    }

    /** An ink of its own. @param solid what it looks like where it covers all */
    public record Spot(String ink, Srgb solid) {}

    /**
     * Where inks of their own are printed in the place of process inks.
     *
     * @param numbers of a pixel: that of the ink in {@code inks}, from 1; 0 where there is none
     * @param plain the flats without their shadows
     */
    public record SpotAreas(int[] numbers, Picture plain, List<Spot> inks) {

        public static final SpotAreas NONE = new SpotAreas(new int[0], new Picture(1, 1, new int[1]), List.of());

        public SpotAreas {
            inks = List.copyOf(inks);
            if (!inks.isEmpty() && numbers.length != plain.argb().length) {
                throw new Refusal("What is separated is of one size.");
            }
        }
    }

    public static Plates of(Page page, PrintCondition condition, Inking inking) {
        return new Separation(page, condition, inking).plates();
    }

    private Plates plates() {
        int count = page.flats().argb().length;
        int[] paints = paints();
        int[] spread = inking.trapPx() == 0 ? paints : spread(paints);
        byte[][] coverage = new byte[inks][count];
        Map<Integer, int[]> inkColours = inkColours();
        int width = page.flats().widthPx();
        int[] most = new int[page.flats().heightPx()];
        long[] over = new long[most.length];
        IntStream.range(0, most.length).parallel().forEach(y -> {
            int[] here = new int[inks];
            for (int i = y * width; i < (y + 1) * width; i++) {
                lay(here, paints[i], spread[i]);
                ink(here, page.ink().argb()[i], inkColours);
                int sum = 0;
                for (int ink = 0; ink < inks; ink++) {
                    coverage[ink][i] = (byte) here[ink];
                    sum += here[ink];
                }
                most[y] = Math.max(most[y], sum);
                over[y] += sum * 100L > (long) inking.limitPercent() * FULL ? 1 : 0;
            }
        });
        List<Plate> plates = new ArrayList<>();
        for (int ink = 0; ink < inks; ink++) {
            plates.add(new Plate(
                    ink < PROCESS.size()
                            ? PROCESS.get(ink)
                            : page.spots().inks().get(ink - PROCESS.size()).ink(),
                    coverage[ink]));
        }
        int mostInk = Arrays.stream(most).max().orElse(0);
        return new Plates(
                width,
                page.flats().heightPx(),
                plates,
                (int) Math.round(mostInk * 100.0 / FULL),
                Arrays.stream(over).sum());
    }

    /** What decides what is printed. @param spot the number of an ink of its own, or 0 @param plain without a shadow; only told where there is such an ink */
    private record Paint(int spot, int argb, int plain) {}

    /** The number of what is printed at each pixel, before ink. */
    private int[] paints() {
        int[] flats = page.flats().argb();
        boolean hasSpots = !page.spots().inks().isEmpty();
        int[] paints = new int[flats.length];
        Paint last = new Paint(0, 0, 0);
        int paint = 0;
        for (int i = 0; i < flats.length; i++) {
            int spot = hasSpots ? page.spots().numbers()[i] : 0;
            int plain = spot > 0 ? page.spots().plain().argb()[i] : 0;
            if (spot != last.spot() || flats[i] != last.argb() || plain != last.plain()) {
                last = new Paint(spot, flats[i], plain);
                paint = flats[i] >>> 24 == 0 ? 0 : known.computeIfAbsent(last, this::add);
            }
            paints[i] = paint;
        }
        return paints;
    }

    private int add(Paint paint) {
        int[] shares = new int[inks];
        if (paint.spot() > 0) {
            spot(paint, shares);
        } else {
            process(paint.argb(), shares);
        }
        printed.add(shares);
        lightness.add(Lab.of(Srgb.ofPacked(paint.argb() & RGB), White.D50).lightness());
        return printed.size() - 1;
    }

    /**
     * A tint of the ink by the light that it swallows (A. Murray, "Monochrome Reproduction in Photoengraving", 1936), and for a shadow as much black over it as takes the light that the
     * shadow does.
     */
    private void spot(Paint paint, int[] shares) {
        double plain = light(paint.plain());
        double solid = page.spots().inks().get(paint.spot() - 1).solid().relativeLuminance();
        double tint = solid >= 1 ? 1 : (1 - plain) / (1 - solid);
        double black = plain <= 0 ? 0 : 1 - light(paint.argb()) / plain;
        shares[PROCESS.size() + paint.spot() - 1] = share(tint * (paint.argb() >>> 24));
        shares[BLACK] = share(black * (paint.argb() >>> 24));
    }

    private static double light(int argb) {
        return Srgb.ofPacked(argb & RGB).relativeLuminance();
    }

    private static int share(double value) {
        return (int) Math.round(Math.max(0, Math.min(FULL, value)));
    }

    private void process(int argb, int[] shares) {
        Cmyk inked = condition.inks(Srgb.ofPacked(argb & RGB));
        double[] parts = {inked.cyan(), inked.magenta(), inked.yellow(), inked.black()};
        for (int ink = 0; ink < parts.length; ink++) {
            shares[ink] = (int) Math.round(parts[ink] * (argb >>> 24));
        }
    }

    /** For each pixel the lightest paint that is spread there from beside it, or its own. Paper neither spreads nor is spread on. */
    private int[] spread(int[] paints) {
        int width = page.flats().widthPx();
        int height = page.flats().heightPx();
        double[] light = lightness.stream().mapToDouble(Double::doubleValue).toArray();
        int[] spread = paints.clone();
        for (int step = 0; step < inking.trapPx(); step++) {
            int[] before = spread.clone();
            IntStream.range(0, height).parallel().forEach(y -> {
                for (int x = 0, i = y * width; x < width; x++, i++) {
                    if (paints[i] == 0) {
                        continue;
                    }
                    int best = before[i];
                    best = lighter(best, x > 0 ? before[i - 1] : 0, paints[i], light);
                    best = lighter(best, x + 1 < width ? before[i + 1] : 0, paints[i], light);
                    best = lighter(best, y > 0 ? before[i - width] : 0, paints[i], light);
                    best = lighter(best, y + 1 < height ? before[i + width] : 0, paints[i], light);
                    spread[i] = best;
                }
            });
        }
        return spread;
    }

    private static int lighter(int best, int beside, int own, double[] light) {
        boolean spreads = beside != 0 && light[beside] > light[own] + LIKE;
        return spreads && (best == own || light[beside] > light[best]) ? beside : best;
    }

    private void lay(int[] here, int paint, int spread) {
        int[] own = printed.get(paint);
        int[] beside = printed.get(spread);
        for (int ink = 0; ink < inks; ink++) {
            here[ink] = Math.max(own[ink], beside[ink]);
        }
    }

    /** What each colour of the ink prints. */
    private Map<Integer, int[]> inkColours() {
        Map<Integer, int[]> colours = new HashMap<>();
        int last = 0;
        for (int argb : page.ink().argb()) {
            int opaque = argb | 0xff000000;
            if (argb >>> 24 != 0 && opaque != last) {
                last = opaque;
                colours.computeIfAbsent(opaque, this::inked);
            }
        }
        return colours;
    }

    private int[] inked(int opaque) {
        int[] shares = new int[inks];
        if ((opaque & RGB) == 0) {
            // Black line art is printed from black alone: where four plates must fit, a line would be fringed.
            shares[BLACK] = FULL;
        } else {
            process(opaque, shares);
        }
        return shares;
    }

    private void ink(int[] here, int argb, Map<Integer, int[]> colours) {
        int alpha = argb >>> 24;
        if (alpha == 0) {
            return;
        }
        int[] shares = colours.get(argb | 0xff000000);
        boolean overprints = inking.blackOverprints() && (argb & RGB) == 0;
        for (int ink = 0; ink < inks; ink++) {
            int under = overprints && ink != BLACK ? here[ink] : here[ink] * (FULL - alpha) / FULL;
            here[ink] = Math.min(FULL, under + (shares[ink] * alpha + FULL / 2) / FULL);
        }
    }
}
