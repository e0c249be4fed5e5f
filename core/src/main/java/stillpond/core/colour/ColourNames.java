package stillpond.core.colour;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;

/** Plain names for colours: those of the ISCC-NBS system, such as "Dark greyish green" (NBS Circular 553, 1955). */
public final class ColourNames {

    private static final String LIST = "names.csv";
    private static final List<Named> NAMED = read();

    private record Named(Lab colour, String name) {}

    private ColourNames() {}

    /** The name whose colour is nearest by CIEDE2000. */
    public static String suggest(Srgb colour) {
        Lab wanted = Lab.of(colour, White.D50);
        return NAMED.stream()
                .min(Comparator.comparingDouble(named -> Ciede2000.between(named.colour(), wanted)))
                .orElseThrow()
                .name();
    }

    private static List<Named> read() {
        try (InputStream in = ColourNames.class.getResourceAsStream(LIST);
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(line -> line.matches("#[0-9a-f]{6},.*"))
                    .map(line -> new Named(Lab.of(Srgb.ofHex(line.substring(0, 7)), White.D50), line.substring(8)))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
