package stillpond.core.ink;

import java.util.stream.IntStream;

/**
 * Finds the ink of a picture.
 *
 * <p>Density is 255 less the luma of the pixel laid over white paper, so transparent is paper. Luma is taken from the
 * gamma-encoded channels (weights of Rec. ITU-R BT.709), because drawing programs and scanners blend the edge of a
 * stroke in those: half-covered pixels come out as half density. The tone of scanned paper is then taken out ({@link PaperTone}), and
 * dirt with it ({@link Specks}). The threshold is Otsu's (N. Otsu, "A threshold selection method from gray-level histograms", IEEE
 * Trans. SMC 9, 1979) unless it is given.
 */
public final class InkFinder {

    /** Used where the page has no two kinds of pixels to tell apart; half covered is the middle of a stroke's edge. */
    static final int EVEN_THRESHOLD = 128;

    /**
     * Two classes whose mean densities are nearer than this are one class with noise, such as an empty scan. A pale pencil on
     * white is about 80 from its paper.
     */
    static final int MIN_CONTRAST = 48;

    private InkFinder() {}

    public static InkPlane find(Picture picture) {
        return find(picture, InkSettings.AUTOMATIC);
    }

    public static InkPlane find(Picture picture, InkSettings settings) {
        int width = picture.widthPx();
        int height = picture.heightPx();
        byte[] drawn = density(picture, settings.pencil());
        byte[] density = PaperTone.takeOut(width, height, drawn);
        boolean isScan = density != drawn;
        int threshold = settings.threshold().orElseGet(() -> threshold(histogram(density)));
        int speckPx = settings.speckPx().orElse(isScan ? InkSettings.SCAN_SPECK_PX : 0);
        Specks.takeOut(width, height, density, threshold, speckPx);
        return new InkPlane(width, height, density, threshold);
    }

    private static byte[] density(Picture picture, Pencil pencil) {
        int width = picture.widthPx();
        int[] argb = picture.argb();
        byte[] density = new byte[argb.length];
        IntStream.range(0, picture.heightPx()).parallel().forEach(y -> {
            for (int i = y * width, end = i + width; i < end; i++) {
                density[i] = densityOf(argb[i], pencil);
            }
        });
        return density;
    }

    private static byte densityOf(int argb, Pencil pencil) {
        int red = argb >> 16 & 0xff;
        int green = argb >> 8 & 0xff;
        int blue = argb & 0xff;
        int lightness = pencil == Pencil.NONE ? luma(red, green, blue) : pencil.lightnessWithout(red, green, blue);
        int alpha = argb >>> 24;
        return (byte) (((255 - lightness) * alpha + 127) / 255);
    }

    /** In 16.16 fixed point, so that every machine rounds alike. */
    private static int luma(int red, int green, int blue) {
        return (13933 * red + 46871 * green + 4732 * blue + 32768) >> 16;
    }

    private static long[] histogram(byte[] density) {
        long[] histogram = new long[256];
        for (byte each : density) {
            histogram[each & 0xff]++;
        }
        return histogram;
    }

    /** The density from which on a pixel is ink: the first of the upper class that parts the histogram best. */
    static int threshold(long[] histogram) {
        long count = 0;
        long sum = 0;
        for (int d = 0; d < 256; d++) {
            count += histogram[d];
            sum += d * histogram[d];
        }
        double best = -1;
        int first = EVEN_THRESHOLD;
        int last = EVEN_THRESHOLD;
        double contrast = 0;
        long below = 0;
        long sumBelow = 0;
        for (int t = 1; t < 256; t++) {
            below += histogram[t - 1];
            sumBelow += (t - 1) * histogram[t - 1];
            long above = count - below;
            if (below == 0 || above == 0) {
                continue;
            }
            double apart = (double) (sum - sumBelow) / above - (double) sumBelow / below;
            double between = (double) below * above * apart * apart;
            if (between > best) {
                best = between;
                first = t;
                contrast = apart;
            }
            if (between >= best) {
                last = t;
            }
        }
        // Between two clean peaks every threshold parts equally well; the middle one keeps the drawn width of a stroke.
        return contrast < MIN_CONTRAST ? EVEN_THRESHOLD : (first + last) / 2;
    }
}
