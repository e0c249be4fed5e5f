package stillpond.core.colour;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import stillpond.core.refusal.Refusal;

/** How ink comes out on some paper, as an ICC profile (ISO 15076-1) tells; computed by the colour management of the JDK. */
public final class PrintCondition {

    /** What goes to print and comes back within this CIEDE2000 difference is printable. */
    private static final double PRINTABLE = 2.3;

    private final ICC_ColorSpace inks;

    private PrintCondition(ICC_ColorSpace inks) {
        this.inks = inks;
    }

    /**
     * @throws Refusal if it is no profile, or not one of cyan, magenta, yellow and black
     */
    public static PrintCondition of(byte[] profile) {
        ICC_Profile read;
        try {
            read = ICC_Profile.getInstance(profile);
        } catch (RuntimeException e) {
            throw new Refusal("This is no ICC colour profile, or it is broken.", e);
        }
        if (read.getColorSpaceType() != ColorSpace.TYPE_CMYK) {
            throw new Refusal(
                    "This profile is not one of cyan, magenta, yellow and black, so nothing can be printed by it.");
        }
        PrintCondition condition = new PrintCondition(new ICC_ColorSpace(read));
        try {
            condition.inks(new Srgb(128, 128, 128));
        } catch (RuntimeException e) {
            throw new Refusal("This ICC colour profile is broken: it converts no colours.", e);
        }
        return condition;
    }

    public Cmyk inks(Srgb colour) {
        float[] shares = inks.fromRGB(new float[] {colour.red() / 255f, colour.green() / 255f, colour.blue() / 255f});
        return new Cmyk(within(shares[0]), within(shares[1]), within(shares[2]), within(shares[3]));
    }

    private static double within(float share) {
        return Math.min(1, Math.max(0, share));
    }

    public Srgb shown(Cmyk shares) {
        float[] rgb = inks.toRGB(new float[] {
            (float) shares.cyan(), (float) shares.magenta(), (float) shares.yellow(), (float) shares.black()
        });
        return new Srgb(Math.round(255 * rgb[0]), Math.round(255 * rgb[1]), Math.round(255 * rgb[2]));
    }

    /** The nearest colour that comes out in print. */
    public Srgb printable(Srgb colour) {
        return shown(inks(colour));
    }

    public boolean isPrintable(Srgb colour) {
        return Ciede2000.between(colour, printable(colour)) <= PRINTABLE;
    }
}
