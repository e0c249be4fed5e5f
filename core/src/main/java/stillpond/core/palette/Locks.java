package stillpond.core.palette;

import java.util.Optional;

/** What a lock on a card holds: its name, its swatches, their order, and the colours that they have, whatever they follow. */
public final class Locks {

    /** The first card that is locked and would not stay as it is, or whose lock itself would change; empty if every lock holds. */
    public static Optional<Card> broken(Palette before, Palette after) {
        Optional<Card> changed = before.cards().stream()
                .filter(Card::locked)
                .filter(card -> !stays(card, before, after))
                .findFirst();
        return changed.or(() -> after.cards().stream()
                .filter(Card::locked)
                .filter(card -> before.card(card.id()).filter(Card::locked).isEmpty())
                .findFirst());
    }

    private static boolean stays(Card card, Palette before, Palette after) {
        return after.card(card.id()).filter(card::equals).isPresent()
                && card.swatches().stream()
                        .allMatch(swatch -> before.colourOf(swatch.id()).equals(after.colourOf(swatch.id())));
    }

    private Locks() {}
}
