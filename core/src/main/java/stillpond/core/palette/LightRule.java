package stillpond.core.palette;

import java.util.StringTokenizer;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/**
 * What a light does to a colour: first the tint, whose blend the colour nears along a straight line in OKLab; then, in OKLCH, contrast about the middle
 * lightness, and shifts of lightness, chroma and hue. docs/decisions/0014 has the reasons for this order.
 *
 * @param blend how the tint acts on a colour
 * @param strengthPercent how far a colour nears what the tint makes of it, 0 to 100
 * @param lightness added, in hundredths, -100 to 100
 * @param chromaPercent of its chroma that a colour gains or loses, -100 to 100; greys stay greys
 * @param hueDegrees -180 to 180
 * @param contrastPercent by which lightness moves away from the middle, -100 to 100
 */
public record LightRule(
        BlendMode blend,
        Srgb tint,
        int strengthPercent,
        int lightness,
        int chromaPercent,
        int hueDegrees,
        int contrastPercent) {

    private static final double MIDDLE = 0.5;

    /** It changes nothing. */
    public static final LightRule NONE = new LightRule(BlendMode.MULTIPLY, new Srgb(255, 255, 255), 0, 0, 0, 0, 0);

    public LightRule {
        requireWithin("The strength of a tint", strengthPercent, 0, 100);
        requireWithin("A shift of lightness", lightness, -100, 100);
        requireWithin("A change of chroma", chromaPercent, -100, 100);
        requireWithin("A shift of hue", hueDegrees, -180, 180);
        requireWithin("A change of contrast", contrastPercent, -100, 100);
    }

    private static void requireWithin(String what, int value, int least, int most) {
        if (value < least || value > most) {
            throw new Refusal(what + " is " + least + " to " + most + ", not " + value + ".");
        }
    }

    /** A colour under the light, as near as sRGB can show it; and whether it cannot be shown as the rule has it. */
    public Gamut.Shown of(Srgb colour) {
        Srgb tinted =
                strengthPercent == 0 ? colour : Mixing.mix(colour, blend.blend(colour, tint), strengthPercent / 100.0);
        if (lightness == 0 && chromaPercent == 0 && hueDegrees == 0 && contrastPercent == 0) {
            return new Gamut.Shown(tinted, false);
        }
        Oklch from = Oklab.of(tinted).oklch();
        double contrasted = MIDDLE + (from.lightness() - MIDDLE) * (1 + contrastPercent / 100.0);
        double wanted = contrasted + lightness / 100.0;
        Oklch shifted = new Oklch(
                        Math.max(0, Math.min(1, wanted)), from.chroma() * (1 + chromaPercent / 100.0), from.hue())
                .shifted(0, 0, hueDegrees);
        Gamut.Shown shown = Gamut.show(shifted);
        return new Gamut.Shown(shown.colour(), shown.wasOutside() || wanted < 0 || wanted > 1);
    }

    /** The form that is stored, such as {@code multiply #5b4a7a 60 -8 -10 0 12}; {@link #ofText} reads it. */
    public String text() {
        return String.join(
                " ",
                blend.standardName(),
                tint.hex(),
                String.valueOf(strengthPercent),
                String.valueOf(lightness),
                String.valueOf(chromaPercent),
                String.valueOf(hueDegrees),
                String.valueOf(contrastPercent));
    }

    /** @throws Refusal */
    public static LightRule ofText(String text) {
        StringTokenizer tokens = new StringTokenizer(text);
        String[] words = new String[tokens.countTokens()];
        for (int i = 0; i < words.length; i++) {
            words[i] = tokens.nextToken();
        }
        if (words.length != 7) {
            throw new Refusal("'" + text + "' is no rule of a light.");
        }
        return Refusal.unlessRead(
                "The numbers of a light are whole: '" + text + "'.",
                () -> new LightRule(
                        BlendMode.ofName(words[0]),
                        Srgb.ofHex(words[1]),
                        Integer.parseInt(words[2]),
                        Integer.parseInt(words[3]),
                        Integer.parseInt(words[4]),
                        Integer.parseInt(words[5]),
                        Integer.parseInt(words[6])));
    }
}
