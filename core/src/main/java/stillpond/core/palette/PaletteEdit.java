package stillpond.core.palette;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/** One act on the palette of a project. */
public sealed interface PaletteEdit {

    /** The palette afterwards. @throws Refusal if it cannot be made */
    Palette on(Palette palette);

    /** What it does, in a few words for the history. */
    String words();

    record AddCard(Card card) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            return palette.with(card);
        }

        @Override
        public String words() {
            return "Added the card " + card.name();
        }
    }

    /** Several at once, whose swatches may follow each other across cards. */
    record AddCards(List<Card> cards) implements PaletteEdit {
        public AddCards {
            cards = List.copyOf(cards);
        }

        @Override
        public Palette on(Palette palette) {
            List<Card> more = new ArrayList<>(palette.cards());
            more.addAll(cards);
            return new Palette(more);
        }

        @Override
        public String words() {
            return cards.size() == 1 ? "Added the card " + cards.get(0).name() : "Added " + cards.size() + " cards";
        }
    }

    record NameCard(UUID card, String name, String subject) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            palette.require(card);
            return palette.replacing(card, each -> each.named(name, subject));
        }

        @Override
        public String words() {
            return "Named the card " + name;
        }
    }

    record LockCard(UUID card, boolean locked) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            palette.require(card);
            return palette.replacing(card, each -> each.locked(locked));
        }

        @Override
        public String words() {
            return locked ? "Locked a card" : "Unlocked a card";
        }
    }

    /** @param at its place on the card, from 0 */
    record Add(UUID card, Swatch swatch, int at) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            palette.require(card);
            if (palette.has(swatch.id())) {
                throw new Refusal("This swatch is on a card already.");
            }
            return palette.replacing(card, each -> each.inserting(swatch, at));
        }

        @Override
        public String words() {
            return "Added " + swatch.name();
        }
    }

    /** Another name, part, note or paint for the swatch of the same id. */
    record Change(Swatch swatch) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            Card card = palette.requireCardOf(swatch.id());
            List<Swatch> others = card.swatches().stream()
                    .map(each -> each.id().equals(swatch.id()) ? swatch : each)
                    .toList();
            return palette.replacing(card.id(), each -> each.with(others));
        }

        @Override
        public String words() {
            return "Changed " + swatch.name();
        }
    }

    /** To another place, perhaps on another card. */
    record Move(UUID swatch, UUID card, int at) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            Card from = palette.requireCardOf(swatch);
            palette.require(card);
            Swatch moved = palette.swatch(swatch).orElseThrow();
            List<Card> cards = palette.cards().stream()
                    .map(each -> each.id().equals(from.id()) ? each.without(swatch) : each)
                    .map(each -> each.id().equals(card) ? each.inserting(moved, at) : each)
                    .toList();
            return new Palette(cards);
        }

        @Override
        public String words() {
            return "Moved a swatch";
        }
    }

    /** A card as it was: its name, its swatches and their order. Swatches added since stay, behind the others, so that nothing that wears them is lost. */
    record Restore(Card former) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            Card now = palette.require(former.id());
            Set<UUID> then = former.swatches().stream().map(Swatch::id).collect(Collectors.toSet());
            List<Swatch> swatches = new ArrayList<>(former.swatches());
            now.swatches().stream().filter(each -> !then.contains(each.id())).forEach(swatches::add);
            return new Palette(palette.cards().stream()
                    .map(card -> card.id().equals(now.id())
                            ? card.named(former.name(), former.subject()).with(swatches)
                            : card.withoutAll(then))
                    .toList());
        }

        @Override
        public String words() {
            return "Brought an earlier state of " + former.name() + " back";
        }
    }

    /** Swatches that follow it keep the colour that they have, as one of their own. */
    record Remove(UUID swatch) implements PaletteEdit {
        @Override
        public Palette on(Palette palette) {
            palette.requireCardOf(swatch);
            return new Palette(palette.cards().stream()
                    .map(card -> card.without(swatch))
                    .map(card -> card.with(card.swatches().stream()
                            .map(each -> untied(each, palette))
                            .toList()))
                    .toList());
        }

        private Swatch untied(Swatch each, Palette palette) {
            boolean follows = each.paint() instanceof Paint.Tied tied
                    && (tied.source().equals(swatch)
                            || tied.tie().other().filter(swatch::equals).isPresent());
            Srgb now = palette.colourOf(each.id()).orElseThrow();
            return follows ? each.painted(new Paint.Process(now)) : each;
        }

        @Override
        public String words() {
            return "Removed a swatch";
        }
    }
}
