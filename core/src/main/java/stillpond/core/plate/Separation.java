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
    private final Map<Long, Integer> known = new HashMap<>();

    private Separation(Page page, PrintCondition condition, Inking inking) {
        this.page = page;
        this.condition = condition;
        this.inking = inking;
        this.inks = PROCESS.size() + page.spotInks().size();
        printed.add(new int[inks]);
        lightness.add(Double.POSITIVE_INFINITY);
    }

    /**
     * What is to be separated, all of one size.
     *
     * @param flats with their shadows, without ink; clear where the paper shows
     * @param spots where a spot ink is printed in the place of process inks: its number in {@code spotInks}, from 1, in the lower bits of an opaque pixel; clear or 0 elsewhere
     * @param ink alone, on clear paper
     */
    public record Page(Picture flats, Picture spots, List<String> spotInks, Picture ink) {
        public Page {
            spotInks = List.copyOf(spotInks);
            boolean isOneSize = flats.argb().length == spots.argb().length
                    && flats.argb().length == ink.argb().length
                    && flats.widthPx() == spots.widthPx()
                    && flats.widthPx() == ink.widthPx();
            if (!isOneSize) {
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
                    ink < PROCESS.size() ? PROCESS.get(ink) : page.spotInks().get(ink - PROCESS.size()),
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

    /** The number of what is printed at each pixel, before ink. */
    private int[] paints() {
        int[] flats = page.flats().argb();
        int[] spots = page.spots().argb();
        int[] paints = new int[flats.length];
        long last = 0;
        int paint = 0;
        for (int i = 0; i < flats.length; i++) {
            int spot = spots[i] >>> 24 == FULL ? spots[i] & RGB : 0;
            int number = spot <= page.spotInks().size() ? spot : 0;
            long key = flats[i] >>> 24 == 0 ? 0 : (long) number << 32 | flats[i] & 0xffffffffL;
            if (key != last) {
                last = key;
                paint = key == 0 ? 0 : known.computeIfAbsent(key, this::add);
            }
            paints[i] = paint;
        }
        return paints;
    }

    private int add(long key) {
        int argb = (int) key;
        int spot = (int) (key >>> 32);
        int[] shares = new int[inks];
        if (spot > 0) {
            shares[PROCESS.size() + spot - 1] = argb >>> 24;
        } else {
            process(argb, shares);
        }
        printed.add(shares);
        lightness.add(Lab.of(Srgb.ofPacked(argb & RGB), White.D50).lightness());
        return printed.size() - 1;
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
