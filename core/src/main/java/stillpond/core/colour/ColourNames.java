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

    private record Named(Oklab colour, String name) {}

    private ColourNames() {}

    /** The name whose colour is nearest in OKLab. */
    public static String suggest(Srgb colour) {
        Oklab wanted = Oklab.of(colour);
        return NAMED.stream()
                .min(Comparator.comparingDouble(named -> named.colour().distanceTo(wanted)))
                .orElseThrow()
                .name();
    }

    private static List<Named> read() {
        try (InputStream in = ColourNames.class.getResourceAsStream(LIST);
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(line -> line.matches("#[0-9a-f]{6},.*"))
                    .map(line -> new Named(Oklab.of(Srgb.ofHex(line.substring(0, 7))), line.substring(8)))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
