package stillpond.core.palette;

import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/** Where a swatch has its colour from. */
public sealed interface Paint {

    /** The form that is stored, such as {@code process #2f6f5e}; {@link #ofText} reads it. */
    String text();

    /** A colour of its own, printed from process inks. */
    record Process(Srgb colour) implements Paint {
        @Override
        public String text() {
            return "process " + colour.hex();
        }
    }

    /**
     * An ink of its own on the press.
     *
     * @param ink as the printer calls it, not blank
     * @param standIn how it is shown on a screen
     */
    record Spot(String ink, Srgb standIn) implements Paint {
        public Spot {
            if (ink.isBlank()) {
                throw new Refusal("A spot colour needs the name of its ink.");
            }
        }

        @Override
        public String text() {
            return "spot " + standIn.hex() + " " + ink;
        }
    }

    /** It follows another swatch. */
    record Tied(UUID source, Tie tie) implements Paint {
        @Override
        public String text() {
            return "tied " + source + " " + tie.text();
        }
    }

    /**
     * Reads what {@link #text} wrote.
     *
     * @throws Refusal
     */
    static Paint ofText(String text) {
        return Refusal.unlessRead("'" + text + "' is no paint of a swatch.", () -> read(text));
    }

    private static Paint read(String text) {
        String[] words = text.split(" ", 3);
        return switch (words[0]) {
            case "process" -> new Process(Srgb.ofHex(words[1]));
            case "spot" -> new Spot(words[2], Srgb.ofHex(words[1]));
            case "tied" -> new Tied(UUID.fromString(words[1]), Tie.ofText(words[2]));
            default -> throw new Refusal("'" + text + "' is no paint of a swatch.");
        };
    }
}
