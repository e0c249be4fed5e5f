package stillpond.core.palette;

import java.util.Objects;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/**
 * A named colour of a card. Its colour is what the {@link Palette} makes of its paint.
 *
 * @param id stays the same when name or colour change
 * @param name as the user calls it, not blank
 * @param part of the character that wears it ("coat lining"); may be empty
 * @param note may be empty
 */
public record Swatch(UUID id, String name, String part, String note, Paint paint) {

    public static final int MOST_LETTERS = 120;
    private static final int LONGEST_NOTE = 2000;

    public Swatch {
        Objects.requireNonNull(paint);
        if (name.isBlank()) {
            throw new Refusal("A swatch needs a name.");
        }
        if (name.length() > MOST_LETTERS || part.length() > MOST_LETTERS || note.length() > LONGEST_NOTE) {
            throw new Refusal("Names of swatches and parts have up to " + MOST_LETTERS + " letters, notes up to "
                    + LONGEST_NOTE + ".");
        }
    }

    public Swatch(UUID id, String name, Srgb colour) {
        this(id, name, "", "", new Paint.Process(colour));
    }

    public Swatch painted(Paint other) {
        return new Swatch(id, name, part, note, other);
    }
}
