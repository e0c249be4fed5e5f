package stillpond.core.format;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import stillpond.core.render.Motif;
import stillpond.core.render.Motifs;

/** The motifs that come with the application, drawn as SVG in the resources beside this class. */
public final class OwnMotifs implements Motifs {

    public static final List<String> NAMES =
            List.of("stripes", "checks", "dots", "tide", "slates", "herringbone", "reeds", "pebbles", "rain", "planks");

    private static final Map<String, Motif> READ = new ConcurrentHashMap<>();

    @Override
    public Optional<Motif> find(String name) {
        return NAMES.contains(name) ? Optional.of(READ.computeIfAbsent(name, OwnMotifs::read)) : Optional.empty();
    }

    private static Motif read(String name) {
        try (InputStream svg = OwnMotifs.class.getResourceAsStream("motifs/" + name + ".svg")) {
            return MotifReader.read(svg.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
