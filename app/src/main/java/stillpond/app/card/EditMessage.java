package stillpond.app.card;

import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import stillpond.core.Refusal;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;

/**
 * One act on the palette as a page sends it. Which fields it needs depends on its kind; those left out of a change of a swatch stay as they are.
 *
 * @param paint see {@link Paint#ofText}
 * @param colour a hex code, for who does not speak of paints: a tied swatch stays tied and a spot colour keeps its ink
 * @param follows with a colour: the swatch that a new one is tied to
 * @param at the place on the card, from 0; last if left out
 * @param instead for a removal: what its regions wear then, a swatch or {@code none}
 */
record EditMessage(
        @NotNull Kind kind,
        UUID card,
        UUID swatch,
        String name,
        String subject,
        String part,
        String note,
        String paint,
        String colour,
        UUID follows,
        Boolean locked,
        Integer at,
        String instead) {

    /** What is done. */
    enum Kind {
        ADD_CARD,
        NAME_CARD,
        LOCK_CARD,
        ADD,
        CHANGE,
        MOVE,
        REMOVE
    }

    /** A colour tried out, without a card to be on. */
    boolean isForNoCard() {
        return kind == Kind.ADD && card == null;
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

    /** @throws Refusal */
    PaletteEdit asEdit(Palette palette) {
        return switch (kind) {
            case ADD_CARD ->
                new PaletteEdit.AddCard(
                        new Card(card == null ? UUID.randomUUID() : card, given(name), or(subject, ""), List.of()));
            case NAME_CARD -> new PaletteEdit.NameCard(card, given(name), or(subject, ""));
            case LOCK_CARD -> new PaletteEdit.LockCard(card, Boolean.TRUE.equals(locked));
            case ADD ->
                new PaletteEdit.Add(
                        cardIn(palette),
                        new Swatch(
                                swatch == null ? UUID.randomUUID() : swatch,
                                given(name),
                                or(part, ""),
                                or(note, ""),
                                newPaint(palette)),
                        place());
            case CHANGE -> new PaletteEdit.Change(changed(palette));
            case MOVE -> new PaletteEdit.Move(swatch, card, place());
            case REMOVE -> new PaletteEdit.Remove(swatch);
        };
    }

    private Swatch changed(Palette palette) {
        Swatch now = palette.swatch(swatch).orElseThrow(() -> new Refusal("This swatch is not there any more."));
        return new Swatch(
                now.id(),
                or(name, now.name()).strip(),
                or(part, now.part()).strip(),
                or(note, now.note()).strip(),
                paint(now, palette));
    }

    private Paint newPaint(Palette palette) {
        if (paint != null) {
            return Paint.ofText(paint);
        }
        Srgb wanted = Srgb.ofHex(given(colour));
        return follows == null ? new Paint.Process(wanted) : new Paint.Tied(follows, shift(follows, wanted, palette));
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
        return now.paint() instanceof Paint.Spot spot ? new Paint.Spot(spot.ink(), wanted) : new Paint.Process(wanted);
    }

    private static Tie shift(UUID source, Srgb wanted, Palette palette) {
        Srgb from =
                palette.colourOf(source).orElseThrow(() -> new Refusal("The swatch to follow is not there any more."));
        return Tie.Shift.between(from, wanted);
    }

    private int place() {
        return at == null ? Integer.MAX_VALUE : at;
    }

    private static String given(String text) {
        if (text == null || text.isBlank()) {
            throw new Refusal("A name or a colour is missing.");
        }
        return text.strip();
    }

    private static String or(String text, String otherwise) {
        return text == null ? otherwise : text;
    }
}
