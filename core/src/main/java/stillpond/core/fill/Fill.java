package stillpond.core.fill;

import java.util.UUID;

/** What one cell is filled with. */
public sealed interface Fill {

    /** No fill: the paper shows. */
    Fill NONE = new None();

    static Fill flat(UUID swatch) {
        return new Flat(swatch);
    }

    /**
     * Reads what {@link #text} wrote.
     *
     * @throws IllegalArgumentException if it is neither {@code none} nor the id of a swatch
     */
    static Fill ofText(String text) {
        if (text.equals("none")) {
            return NONE;
        }
        try {
            return flat(UUID.fromString(text));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("A fill is 'none' or the id of a swatch, not '" + text + "'.", e);
        }
    }

    /** The form that is stored and sent. */
    String text();

    /** See {@link Fill#NONE}. */
    record None() implements Fill {
        @Override
        public String text() {
            return "none";
        }
    }

    /** One even colour: whatever the swatch is. */
    record Flat(UUID swatch) implements Fill {
        @Override
        public String text() {
            return swatch.toString();
        }
    }
}
