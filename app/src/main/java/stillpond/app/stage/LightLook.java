package stillpond.app.stage;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.core.check.LightCheck;
import stillpond.core.palette.Light;
import stillpond.core.palette.LitPalette;
import stillpond.core.palette.Palette;

/**
 * What a light does to a palette, as a page is told.
 *
 * @param colours by swatch
 * @param outside swatches whose colours under the light cannot be shown
 * @param alike parts that have become hard to tell apart, each as a sentence
 */
record LightLook(Map<UUID, String> colours, List<UUID> outside, List<Alike> alike) {

    /** Two parts. */
    record Alike(UUID first, UUID second, String said) {}

    /** @param shown the swatches that matter */
    static LightLook of(Palette palette, Light light, Set<UUID> shown) {
        LitPalette lit = new LitPalette(palette, light);
        Map<UUID, String> colours = new TreeMap<>();
        palette.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .forEach(swatch -> colours.put(
                        swatch.id(), lit.colourOf(swatch.id()).orElseThrow().hex()));
        return new LightLook(
                colours,
                lit.outsideGamut().stream().filter(shown::contains).sorted().toList(),
                LightCheck.hardToTell(palette, lit, shown).stream()
                        .map(each -> new Alike(
                                each.first(),
                                each.second(),
                                String.format(
                                        Locale.ROOT,
                                        "%s and %s: %.1f apart, %.1f as drawn",
                                        name(palette, each.first()),
                                        name(palette, each.second()),
                                        each.lit(),
                                        each.asDrawn())))
                        .toList());
    }

    private static String name(Palette palette, UUID swatch) {
        return palette.cardOf(swatch).orElseThrow().name() + "'s "
                + palette.swatch(swatch).orElseThrow().name();
    }
}
