package stillpond.core.colour;

import stillpond.core.refusal.Refusal;

/**
 * An opaque colour in sRGB (IEC 61966-2-1), 8 bits a channel.
 *
 * @param red 0 to 255, gamma-encoded
 * @param green 0 to 255, gamma-encoded
 * @param blue 0 to 255, gamma-encoded
 */
public record Srgb(int red, int green, int blue) {

    private static final int HEX_DIGITS = 6;

    public Srgb {
        requireChannel("red", red);
        requireChannel("green", green);
        requireChannel("blue", blue);
    }

    /**
     * Reads a hex code such as {@code #2f6f5e}.
     *
     * @throws Refusal if it is not a hash and six hex digits
     */
    public static Srgb ofHex(String hex) {
        if (hex.length() != 1 + HEX_DIGITS || hex.charAt(0) != '#' || !isHex(hex, 1)) {
            throw new Refusal("A colour code is # and six hex digits, not '" + hex + "'.");
        }
        return ofPacked(Integer.parseInt(hex.substring(1), 16));
    }

    /** Whether a text is nothing but hex digits from some place on. */
    static boolean isHex(String text, int start) {
        for (int i = start; i < text.length(); i++) {
            char letter = text.charAt(i);
            boolean isDigit = letter >= '0' && letter <= '9';
            if (!isDigit && !(letter >= 'a' && letter <= 'f') && !(letter >= 'A' && letter <= 'F')) {
                return false;
            }
        }
        return true;
    }

    /** The colour whose channels are packed as 0xRRGGBB; higher bits are ignored. */
    public static Srgb ofPacked(int packed) {
        return new Srgb(packed >> 16 & 0xff, packed >> 8 & 0xff, packed & 0xff);
    }

    /** The channels as 0xRRGGBB. */
    public int packed() {
        return red << 16 | green << 8 | blue;
    }

    /** The channels as 0xFFRRGGBB, for pictures with alpha. */
    public int opaqueArgb() {
        return 0xff000000 | packed();
    }

    public String hex() {
        return "#" + Integer.toHexString(1 << 24 | packed()).substring(1);
    }

    /** Whether it has no hue: all channels are equal. */
    public boolean isGrey() {
        return red == green && green == blue;
    }

    /** Relative luminance, 0 (black) to 1 (white), as WCAG 2.2 defines it. */
    public double relativeLuminance() {
        LinearRgb light = LinearRgb.of(this);
        return 0.2126 * light.red() + 0.7152 * light.green() + 0.0722 * light.blue();
    }

    /** Contrast ratio with another colour, 1 to 21, as WCAG 2.2 defines it. */
    public double contrastWith(Srgb other) {
        double mine = relativeLuminance() + 0.05;
        double others = other.relativeLuminance() + 0.05;
        return Math.max(mine, others) / Math.min(mine, others);
    }

    private static void requireChannel(String name, int value) {
        if (value < 0 || value > 255) {
            throw new Refusal(name + " is 0 to 255, not " + value);
        }
    }
}
