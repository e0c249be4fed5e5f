package stillpond.core.shadow;

import java.util.Map;
import java.util.Optional;
import java.util.StringJoiner;
import java.util.TreeMap;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.SwatchColours;

/** What each shadow of a layer does to colours under it. */
public final class ShadowColours {

    private final Map<Integer, Shadow> shadows = new TreeMap<>();
    private final Map<Integer, Srgb> worn = new TreeMap<>();

    /** @param fills what each wears, by its number */
    public static ShadowColours of(Shadows shadows, Fills fills, SwatchColours colours) {
        ShadowColours all = new ShadowColours();
        shadows.all().forEach(each -> {
            all.shadows.put(each.number(), each);
            if (fills.of(each.number()) instanceof Fill.Flat flat) {
                colours.colourOf(flat.swatch()).ifPresent(colour -> all.worn.put(each.number(), colour));
            }
        });
        return all;
    }

    /** The colour of the swatch that a shadow wears; empty: none. */
    public Optional<Srgb> worn(int shadow) {
        return Optional.ofNullable(worn.get(shadow));
    }

    /** As {@link Blending#over}. */
    public int over(int backdrop, int shadow, int level) {
        return Blending.over(backdrop, shadows.get(shadow), worn(shadow), level);
    }

    /** The same for two layers of like shadows only if they look the same. */
    public String version() {
        StringJoiner version = new StringJoiner("\n");
        shadows.forEach((number, shadow) -> version.add(number + " " + shadow + " " + worn.get(number)));
        return Integer.toHexString(version.toString().hashCode());
    }
}
