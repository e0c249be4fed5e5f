package stillpond.core.palette;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/** The cards of a project, and the colour that each swatch has now: a tied one follows its source, through any number of ties. */
public final class Palette implements SwatchColours {

    private static final int MOST_CARDS = 2000;
    private static final int MOST_SWATCHES = 20_000;

    private final List<Card> cards;
    private final Map<UUID, Swatch> swatches = new HashMap<>();
    private final Map<UUID, Srgb> colours = new HashMap<>();

    /** @throws Refusal if ties go round in a circle or lead nowhere */
    public Palette(List<Card> cards) {
        this.cards = List.copyOf(cards);
        long count = cards.stream().mapToLong(card -> card.swatches().size()).sum();
        if (cards.size() > MOST_CARDS || count > MOST_SWATCHES) {
            throw new Refusal(
                    "A project has up to " + MOST_CARDS + " cards and " + MOST_SWATCHES + " swatches in all.");
        }
        for (Card card : cards) {
            for (Swatch swatch : card.swatches()) {
                swatches.put(swatch.id(), swatch);
            }
        }
        for (UUID swatch : swatches.keySet()) {
            if (!colours.containsKey(swatch)) {
                resolve(swatch);
            }
        }
    }

    public List<Card> cards() {
        return cards;
    }

    public Optional<Card> card(UUID id) {
        return cards.stream().filter(card -> card.id().equals(id)).findFirst();
    }

    public Optional<Card> cardOf(UUID swatch) {
        return cards.stream()
                .filter(card ->
                        card.swatches().stream().anyMatch(each -> each.id().equals(swatch)))
                .findFirst();
    }

    public boolean has(UUID swatch) {
        return swatches.containsKey(swatch);
    }

    public boolean hasAll(Collection<UUID> some) {
        return swatches.keySet().containsAll(some);
    }

    public Optional<Swatch> swatch(UUID id) {
        return Optional.ofNullable(swatches.get(id));
    }

    @Override
    public Optional<Srgb> colourOf(UUID swatch) {
        return Optional.ofNullable(colours.get(swatch));
    }

    /** The swatches whose colour changes when one does: itself, and all that follow it. */
    public Set<UUID> followersOf(UUID swatch) {
        Set<UUID> followers = new LinkedHashSet<>(Set.of(swatch));
        boolean grew = true;
        while (grew) {
            grew = false;
            for (Swatch each : swatches.values()) {
                boolean follows = each.paint() instanceof Paint.Tied tied
                        && (followers.contains(tied.source())
                                || tied.tie()
                                        .other()
                                        .filter(followers::contains)
                                        .isPresent());
                grew |= follows && followers.add(each.id());
            }
        }
        return followers;
    }

    /** The palette with other colours of their own for some swatches; whatever is tied to them follows. */
    public Palette trying(Map<UUID, Srgb> tried) {
        return tried.isEmpty()
                ? this
                : new Palette(cards.stream().map(card -> card.coloured(tried)).toList());
    }

    /** The palette with its cards in other wardrobes; whatever is tied to a part of another colour follows. */
    public Palette wearing(Collection<Wardrobe> wardrobes) {
        Map<UUID, Map<UUID, Srgb>> byCard = wardrobes.stream()
                .collect(Collectors.toMap(Wardrobe::card, Wardrobe::colours, (first, other) -> first));
        return byCard.isEmpty()
                ? this
                : new Palette(cards.stream()
                        .map(card -> card.coloured(byCard.getOrDefault(card.id(), Map.of())))
                        .toList());
    }

    /** The palette after an edit. @throws Refusal if it cannot be made */
    public Palette after(PaletteEdit edit) {
        return edit.on(this);
    }

    Palette replacing(UUID card, UnaryOperator<Card> by) {
        return new Palette(cards.stream()
                .map(each -> each.id().equals(card) ? by.apply(each) : each)
                .toList());
    }

    Palette with(Card card) {
        List<Card> more = new ArrayList<>(cards);
        more.add(card);
        return new Palette(more);
    }

    Card require(UUID card) {
        return card(card).orElseThrow(() -> new Refusal("This card is not there any more."));
    }

    Card requireCardOf(UUID swatch) {
        return cardOf(swatch).orElseThrow(() -> new Refusal("This swatch is not there any more."));
    }

    /** Step by step and not by calls within calls: ties may go through thousands of swatches. */
    private void resolve(UUID start) {
        Set<UUID> onTheWay = new LinkedHashSet<>();
        Deque<UUID> way = new ArrayDeque<>();
        go(start, way, onTheWay);
        while (!way.isEmpty()) {
            UUID id = way.peek();
            Paint paint = swatches.get(id).paint();
            Optional<UUID> open = sources(paint).stream()
                    .filter(source -> !colours.containsKey(source))
                    .findFirst();
            if (open.isPresent()) {
                go(open.get(), way, onTheWay);
            } else {
                colours.put(id, resolved(paint));
                onTheWay.remove(way.pop());
            }
        }
    }

    private void go(UUID id, Deque<UUID> way, Set<UUID> onTheWay) {
        if (!swatches.containsKey(id)) {
            throw new Refusal("A swatch is tied to one that is not there any more.");
        }
        if (!onTheWay.add(id)) {
            throw new Refusal("This tie would go round in a circle: " + chain(onTheWay, id) + ".");
        }
        way.push(id);
    }

    private static List<UUID> sources(Paint paint) {
        if (!(paint instanceof Paint.Tied tied)) {
            return List.of();
        }
        return tied.tie().other().map(other -> List.of(tied.source(), other)).orElse(List.of(tied.source()));
    }

    private Srgb resolved(Paint paint) {
        if (paint instanceof Paint.Process process) {
            return process.colour();
        }
        if (paint instanceof Paint.Spot spot) {
            return spot.standIn();
        }
        Paint.Tied tied = (Paint.Tied) paint;
        return tied.tie().of(colours.get(tied.source()), colours::get);
    }

    /** The names on the way from a swatch back to itself. */
    private String chain(Set<UUID> onTheWay, UUID back) {
        List<String> names = new ArrayList<>();
        for (UUID each : onTheWay) {
            if (!names.isEmpty() || each.equals(back)) {
                names.add(swatches.get(each).name());
            }
        }
        names.add(swatches.get(back).name());
        return String.join(" follows ", names);
    }
}
