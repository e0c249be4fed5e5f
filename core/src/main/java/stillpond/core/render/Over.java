package stillpond.core.render;

/** One colour over another in gamma-encoded sRGB: the operator <em>over</em> of T. Porter and T. Duff, "Compositing digital images", SIGGRAPH 1984. */
final class Over {

    private static final int OPAQUE = 255;

    private Over() {}

    /** Both as 0xAARRGGBB, not premultiplied, and so is what comes out. */
    static int of(int front, int back) {
        int frontAlpha = front >>> 24;
        int backAlpha = back >>> 24;
        if (frontAlpha == OPAQUE || backAlpha == 0) {
            return front;
        }
        if (frontAlpha == 0) {
            return back;
        }
        // In 255ths of 255ths, so that nothing is rounded before the end.
        int frontPart = frontAlpha * OPAQUE;
        int backPart = backAlpha * (OPAQUE - frontAlpha);
        int all = frontPart + backPart;
        int alpha = (all + OPAQUE / 2) / OPAQUE;
        return alpha << 24
                | mix(front >> 16 & 0xff, frontPart, back >> 16 & 0xff, backPart, all) << 16
                | mix(front >> 8 & 0xff, frontPart, back >> 8 & 0xff, backPart, all) << 8
                | mix(front & 0xff, frontPart, back & 0xff, backPart, all);
    }

    private static int mix(int front, int frontPart, int back, int backPart, int all) {
        return (front * frontPart + back * backPart + all / 2) / all;
    }

    /** A colour at so many percent of its opacity. */
    static int faint(int argb, int percent) {
        return ((argb >>> 24) * percent + 50) / 100 << 24 | argb & 0xffffff;
    }
}
