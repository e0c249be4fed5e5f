package stillpond.core.palette;

import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.Srgb;

/** The colour that each swatch shows somewhere: as drawn in a {@link Palette}, or under a light in a {@link LitPalette}. */
public interface SwatchColours {

    /** Empty if no card has the swatch. */
    Optional<Srgb> colourOf(UUID swatch);
}
