package stillpond.core.colour;

/** All lightnesses and chromas of one hue as a picture, to choose from. */
public final class HuePlane {

    private static final int OPAQUE = 0xff000000;

    private HuePlane() {}

    /**
     * White lies above, black below, grey to the left.
     *
     * @param hue in degrees
     * @param mostChroma at the right edge
     * @return pixels row by row, as 0xAARRGGBB; 0 where sRGB has no such colour
     */
    public static int[] of(double hue, double mostChroma, int width, int height) {
        int[] pixels = new int[width * height];
        for (int y = 0; y < height; y++) {
            double lightness = 1 - (y + 0.5) / height;
            for (int x = 0; x < width; x++) {
                Gamut.Shown shown = Gamut.show(new Oklch(lightness, mostChroma * (x + 0.5) / width, hue));
                if (shown.wasOutside()) {
                    // What has more chroma of this lightness lies outside too.
                    break;
                }
                pixels[y * width + x] = OPAQUE | shown.colour().packed();
            }
        }
        return pixels;
    }
}
