package stillpond.core.render;

import java.util.Optional;

/** Where motifs are found. */
@FunctionalInterface
public interface Motifs {

    /** No motif at all: patterns show nothing. */
    Motifs NONE = name -> Optional.empty();

    /** @param name that a {@link stillpond.core.fill.Fill.Pattern} has */
    Optional<Motif> find(String name);
}
