package stillpond.browser;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.teavm.jso.JSExport;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Light;
import stillpond.core.palette.LightRule;

/** Lights in the form in which they are stored and sent. */
public final class Lights {

    /** A name is no part of that form. */
    private static final String NAME = "Light";

    private static final String DRAWN = "drawn";

    private Lights() {}

    @JSExport
    public static LightParts parts(String text) {
        Light light = Light.ofText(NAME, text);
        return new LightParts(
                parts(light.all()),
                light.byCard().keySet().stream().map(UUID::toString).toArray(String[]::new),
                light.byCard().values().stream().map(Lights::parts).toArray(RuleParts[]::new),
                light.exceptions().keySet().stream().map(UUID::toString).toArray(String[]::new),
                light.exceptions().values().stream()
                        .map(each -> each instanceof Light.Exception.Fixed fixed
                                ? fixed.colour().hex()
                                : DRAWN)
                        .toArray(String[]::new));
    }

    /** The text of a rule. */
    @JSExport
    public static String rule(
            String blend, String tint, int strength, int lightness, int chroma, int hue, int contrast) {
        return new LightRule(BlendMode.ofName(blend), Srgb.ofHex(tint), strength, lightness, chroma, hue, contrast)
                .text();
    }

    /**
     * The text of a light.
     *
     * @param all the text of the rule for all
     * @param rules those of some cards
     * @param exceptions what some swatches show: `drawn` or a hex code
     */
    @JSExport
    public static String text(String all, String[] cards, String[] rules, String[] swatches, String[] exceptions) {
        Map<UUID, LightRule> byCard = new HashMap<>();
        for (int i = 0; i < cards.length; i++) {
            byCard.put(UUID.fromString(cards[i]), LightRule.ofText(rules[i]));
        }
        Map<UUID, Light.Exception> bySwatch = new HashMap<>();
        for (int i = 0; i < swatches.length; i++) {
            bySwatch.put(
                    UUID.fromString(swatches[i]),
                    exceptions[i].equals(DRAWN)
                            ? new Light.Exception.AsDrawn()
                            : new Light.Exception.Fixed(Srgb.ofHex(exceptions[i])));
        }
        return new Light(NAME, LightRule.ofText(all), byCard, bySwatch).text();
    }

    private static RuleParts parts(LightRule rule) {
        return new RuleParts(
                rule.blend().standardName(),
                rule.tint().hex(),
                rule.strengthPercent(),
                rule.lightness(),
                rule.chromaPercent(),
                rule.hueDegrees(),
                rule.contrastPercent());
    }
}
