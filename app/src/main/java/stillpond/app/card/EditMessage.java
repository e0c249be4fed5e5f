package stillpond.app.card;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;
import stillpond.core.refusal.Refusal;

/** One act on the palette as a page sends it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(name = "ADD_CARD", value = EditMessage.AddCard.class),
    @JsonSubTypes.Type(name = "NAME_CARD", value = EditMessage.NameCard.class),
    @JsonSubTypes.Type(name = "LOCK_CARD", value = EditMessage.LockCard.class),
    @JsonSubTypes.Type(name = "ADD", value = EditMessage.Add.class),
    @JsonSubTypes.Type(name = "CHANGE", value = EditMessage.Change.class),
    @JsonSubTypes.Type(name = "MOVE", value = EditMessage.Move.class),
    @JsonSubTypes.Type(name = "REMOVE", value = EditMessage.Remove.class)
})
sealed interface EditMessage {

    /** @throws Refusal if it says nothing that can be done */
    PaletteEdit asEdit(Palette palette);

    /** The colour that it speaks of, as a hex code; null if it speaks of none. */
    default @Nullable String colour() {
        return null;
    }

    /** @param card its id, if the page makes one */
    record AddCard(
            @Nullable UUID card, String name, @Nullable String subject) implements EditMessage {
        @Override
        public PaletteEdit asEdit(Palette palette) {
            UUID id = card == null ? UUID.randomUUID() : card;
            return new PaletteEdit.AddCard(new Card(id, given(name), or(subject, ""), List.of()));
        }
    }

    record NameCard(
            @NotNull UUID card, String name, @Nullable String subject) implements EditMessage {
        @Override
        public PaletteEdit asEdit(Palette palette) {
            return new PaletteEdit.NameCard(card, given(name), or(subject, ""));
        }
    }

    record LockCard(@NotNull UUID card, boolean locked) implements EditMessage {
        @Override
        public PaletteEdit asEdit(Palette palette) {
            return new PaletteEdit.LockCard(card, locked);
        }
    }

    /**
     * Adds a swatch, with a paint or with a colour.
     *
     * @param card none: it is a loose colour
     * @param swatch its id, if the page makes one
     * @param paint see {@link Paint#ofText}
     * @param colour a hex code
     * @param follows with a colour: the swatch that it is tied to
     * @param at the place on the card, from 0; last if left out
     */
    record Add(
            @Nullable UUID card,
            @Nullable UUID swatch,
            String name,
            @Nullable String part,
            @Nullable String note,
            @Nullable String paint,
            @Nullable String colour,
            @Nullable UUID follows,
            @Nullable Integer at)
            implements EditMessage {

        @Override
        public PaletteEdit asEdit(Palette palette) {
            UUID id = swatch == null ? UUID.randomUUID() : swatch;
            return new PaletteEdit.Add(
                    cardIn(palette),
                    new Swatch(id, given(name), or(part, ""), or(note, ""), paint(palette)),
                    place(at));
        }

        private UUID cardIn(Palette palette) {
            return card != null
                    ? card
                    : palette.cards().stream()
                            .filter(Card::isLoose)
                            .findFirst()
                            .orElseThrow()
                            .id();
        }

        private Paint paint(Palette palette) {
            if (paint != null) {
                return Paint.ofText(paint);
            }
            Srgb wanted = Srgb.ofHex(given(colour));
            return follows == null
                    ? new Paint.Process(wanted)
                    : new Paint.Tied(follows, shift(follows, wanted, palette));
        }
    }

    /**
     * Changes a swatch; what is left out stays as it is.
     *
     * @param paint see {@link Paint#ofText}
     * @param colour a hex code, for who does not speak of paints: a tied swatch stays tied and a spot colour keeps its ink
     */
    record Change(
            @NotNull UUID swatch,
            @Nullable String name,
            @Nullable String part,
            @Nullable String note,
            @Nullable String paint,
            @Nullable String colour)
            implements EditMessage {

        @Override
        public PaletteEdit asEdit(Palette palette) {
            Swatch now = palette.swatch(swatch).orElseThrow(() -> new Refusal("This swatch is not there any more."));
            return new PaletteEdit.Change(new Swatch(
                    now.id(),
                    or(name, now.name()).strip(),
                    or(part, now.part()).strip(),
                    or(note, now.note()).strip(),
                    paint(now, palette)));
        }

        private Paint paint(Swatch now, Palette palette) {
            if (paint != null) {
                return Paint.ofText(paint);
            }
            if (colour == null) {
                return now.paint();
            }
            Srgb wanted = Srgb.ofHex(colour);
            if (now.paint() instanceof Paint.Tied tied) {
                return new Paint.Tied(tied.source(), shift(tied.source(), wanted, palette));
            }
            return now.paint() instanceof Paint.Spot spot
                    ? new Paint.Spot(spot.ink(), wanted)
                    : new Paint.Process(wanted);
        }
    }

    /** @param at the place on the card, from 0; last if left out */
    record Move(
            @NotNull UUID swatch,
            @NotNull UUID card,
            @Nullable Integer at) implements EditMessage {
        @Override
        public PaletteEdit asEdit(Palette palette) {
            return new PaletteEdit.Move(swatch, card, place(at));
        }
    }

    /** @param instead what its regions wear then, a swatch or {@code none} */
    record Remove(@NotNull UUID swatch, @Nullable String instead) implements EditMessage {
        @Override
        public PaletteEdit asEdit(Palette palette) {
            return new PaletteEdit.Remove(swatch);
        }
    }

    private static Tie shift(UUID source, Srgb wanted, Palette palette) {
        Srgb from =
                palette.colourOf(source).orElseThrow(() -> new Refusal("The swatch to follow is not there any more."));
        return Tie.Shift.between(from, wanted);
    }

    private static int place(@Nullable Integer at) {
        return at == null ? Integer.MAX_VALUE : at;
    }

    private static String given(@Nullable String text) {
        if (text == null || text.isBlank()) {
            throw new Refusal("A name or a colour is missing.");
        }
        return text.strip();
    }

    private static String or(@Nullable String text, String otherwise) {
        return text == null ? otherwise : text;
    }
}
