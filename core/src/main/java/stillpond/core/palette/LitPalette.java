package stillpond.core.palette;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Srgb;

/** A palette under a light. */
public final class LitPalette implements SwatchColours {

    private final Map<UUID, Srgb> colours = new HashMap<>();
    private final Set<UUID> outsideGamut = new HashSet<>();

    public LitPalette(Palette palette, Light light) {
        for (Card card : palette.cards()) {
            for (Swatch swatch : card.swatches()) {
                Gamut.Shown shown = light.of(palette.colourOf(swatch.id()).orElseThrow(), swatch.id(), card.id());
                colours.put(swatch.id(), shown.colour());
                if (shown.wasOutside()) {
                    outsideGamut.add(swatch.id());
                }
            }
        }
    }

    @Override
    public Optional<Srgb> colourOf(UUID swatch) {
        return Optional.ofNullable(colours.get(swatch));
    }

    /** The swatches that the light asks colours of which sRGB cannot show; they show the nearest ones. */
    public Set<UUID> outsideGamut() {
        return Set.copyOf(outsideGamut);
    }
}
