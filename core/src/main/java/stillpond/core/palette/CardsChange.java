package stillpond.core.palette;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.core.history.Reversal;
import stillpond.core.refusal.Refusal;

/**
 * What one act did to a palette.
 *
 * @param before the cards that it changed, as they were, in the order of their places; one that it added is not among them
 * @param after the same, as it left them; one that it removed is not among them
 * @param instead for swatches that are there on one side only: what whatever wore them was given, if anything
 */
public record CardsChange(List<Placed> before, List<Placed> after, Map<UUID, UUID> instead) {

    public CardsChange {
        before = List.copyOf(before);
        after = List.copyOf(after);
        instead = Map.copyOf(instead);
    }

    /** A card and its place among all, from 0. */
    public record Placed(int position, Card card) {}

    /** A palette after a change of it was taken back. @param leftAlone how many cards and swatches stay, since they were changed since */
    public record TakenBack(Palette palette, int leftAlone) {}

    /** What a card is without its swatches. */
    private record Face(String name, String subject, Card.Kind kind, boolean locked) {
        static Face of(Card card) {
            return new Face(card.name(), card.subject(), card.kind(), card.locked());
        }
    }

    /** A swatch on a card. */
    private record Lying(UUID card, Swatch swatch) {}

    /** What is different between two palettes. */
    public static CardsChange between(Palette before, Palette after, Map<UUID, UUID> instead) {
        return new CardsChange(different(before, after), different(after, before), instead);
    }

    private static List<Placed> different(Palette palette, Palette other) {
        List<Placed> different = new ArrayList<>();
        for (int i = 0; i < palette.cards().size(); i++) {
            Card card = palette.cards().get(i);
            if (!other.card(card.id()).equals(Optional.of(card))) {
                different.add(new Placed(i, card));
            }
        }
        return different;
    }

    /** The change that takes this one back. */
    public CardsChange inverse() {
        return new CardsChange(after, before, instead);
    }

    public boolean isEmpty() {
        return before.isEmpty() && after.isEmpty();
    }

    /** A card before and after it; both empty if it has nothing to do with the card. */
    public Optional<Card> before(UUID card) {
        return find(before, card);
    }

    /** See {@link #before(UUID)}. */
    public Optional<Card> after(UUID card) {
        return find(after, card);
    }

    private static Optional<Card> find(List<Placed> cards, UUID id) {
        return cards.stream()
                .map(Placed::card)
                .filter(card -> card.id().equals(id))
                .findFirst();
    }

    /** The palette that this led from, told from the one that it led to. */
    public Palette undoneIn(Palette then) {
        Set<UUID> changed = after.stream().map(placed -> placed.card().id()).collect(Collectors.toSet());
        List<Card> cards = new ArrayList<>(then.cards().stream()
                .filter(card -> !changed.contains(card.id()))
                .toList());
        before.forEach(placed -> cards.add(Math.min(placed.position(), cards.size()), placed.card()));
        return new Palette(cards);
    }

    /**
     * Takes this back in a palette that may have been changed since: names, subjects, locks and swatches each go back unless they are not any more what this
     * made of them.
     *
     * @throws Refusal if what is left would not hold together, such as a tie to a swatch that would go
     */
    public TakenBack takenBackIn(Palette now) {
        Reversal<UUID, Face> faces = Reversal.of(faces(now.cards()), faces(cards(before)), faces(cards(after)));
        Reversal<UUID, Lying> swatches = Reversal.of(lying(now.cards()), lying(cards(before)), lying(cards(after)));
        Map<UUID, Face> kept = new LinkedHashMap<>(faces.entries());
        int leftAlone = faces.leftAlone().size() + swatches.leftAlone().size();
        Map<UUID, List<Swatch>> byCard = new HashMap<>();
        for (Lying each : swatches.entries().values()) {
            byCard.computeIfAbsent(each.card(), card -> new ArrayList<>()).add(each.swatch());
        }
        for (UUID card : byCard.keySet()) {
            if (!kept.containsKey(card)) {
                kept.put(card, Face.of(now.card(card).or(() -> before(card)).orElseThrow()));
                leftAlone++;
            }
        }
        List<Card> cards = new ArrayList<>();
        for (Card card : now.cards()) {
            Face face = kept.remove(card.id());
            if (face != null) {
                cards.add(card(card.id(), face, byCard, now));
            }
        }
        for (Placed placed : before) {
            Face face = kept.remove(placed.card().id());
            if (face != null) {
                cards.add(
                        Math.min(placed.position(), cards.size()),
                        card(placed.card().id(), face, byCard, now));
            }
        }
        return new TakenBack(new Palette(cards), leftAlone);
    }

    private Card card(UUID id, Face face, Map<UUID, List<Swatch>> byCard, Palette now) {
        List<Swatch> swatches = byCard.getOrDefault(id, List.of());
        return new Card(id, face.name(), face.subject(), face.kind(), face.locked(), ordered(id, swatches, now));
    }

    /** As before the change if the order is still the one that it left; else as now, with those that come back in their places of then. */
    private List<Swatch> ordered(UUID card, List<Swatch> swatches, Palette now) {
        List<UUID> then = before(card).map(CardsChange::ids).orElse(List.of());
        List<UUID> present = now.card(card).map(CardsChange::ids).orElse(List.of());
        boolean isAsLeft =
                after(card).map(CardsChange::ids).filter(present::equals).isPresent();
        List<UUID> order = new ArrayList<>(isAsLeft ? then : present);
        for (UUID each : isAsLeft ? present : then) {
            if (!order.contains(each)) {
                int at = isAsLeft ? order.size() : then.indexOf(each);
                order.add(Math.min(at, order.size()), each);
            }
        }
        Map<UUID, Swatch> byId = swatches.stream().collect(Collectors.toMap(Swatch::id, each -> each));
        return order.stream().filter(byId::containsKey).map(byId::get).toList();
    }

    private static List<UUID> ids(Card card) {
        return card.swatches().stream().map(Swatch::id).toList();
    }

    private static List<Card> cards(List<Placed> placed) {
        return placed.stream().map(Placed::card).toList();
    }

    private static Map<UUID, Face> faces(List<Card> cards) {
        Map<UUID, Face> faces = new LinkedHashMap<>();
        cards.forEach(card -> faces.put(card.id(), Face.of(card)));
        return faces;
    }

    private static Map<UUID, Lying> lying(List<Card> cards) {
        Map<UUID, Lying> lying = new LinkedHashMap<>();
        cards.forEach(card -> card.swatches().forEach(swatch -> lying.put(swatch.id(), new Lying(card.id(), swatch))));
        return lying;
    }
}
