package stillpond.app.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import stillpond.app.history.Made;
import stillpond.app.palette.Palettes;
import stillpond.core.exchange.Arrival;
import stillpond.core.exchange.CardCsv;
import stillpond.core.exchange.CssProperties;
import stillpond.core.exchange.Tokens;
import stillpond.core.exchange.UnreadableCards;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;

/** Brings cards in from files, after showing what would come of it. Files are read before anything is asked of the database. */
@Service
class Exchange {

    private final Palettes palettes;

    Exchange(Palettes palettes) {
        this.palettes = palettes;
    }

    /**
     * What a file would bring.
     *
     * @param cards that would be added
     * @param problems what cannot be read, with its place in the file
     */
    record Plan(List<PlannedCard> cards, List<Arrival.Problem> problems) {}

    /**
     * A card that would be added.
     *
     * @param was its name in the file, if that is taken here already; else null
     */
    record PlannedCard(String name, @Nullable String was, List<PlannedSwatch> swatches) {}

    record PlannedSwatch(String name, String colour) {}

    /** @throws UnreadableCards with a message for the user; nothing is changed in any case */
    Plan plan(UUID project, String fileName, byte[] file) {
        Arrival arrival = read(fileName, file);
        List<Card> renamed = renamed(arrival.cards(), palettes.of(project));
        List<PlannedCard> cards = new ArrayList<>();
        Palette colours = new Palette(arrival.cards());
        for (int i = 0; i < renamed.size(); i++) {
            String was = arrival.cards().get(i).name();
            Card card = renamed.get(i);
            cards.add(new PlannedCard(
                    card.name(),
                    was.equals(card.name()) ? null : was,
                    card.swatches().stream()
                            .map(swatch -> new PlannedSwatch(
                                    swatch.name(),
                                    colours.colourOf(swatch.id()).orElseThrow().hex()))
                            .toList()));
        }
        return new Plan(cards, arrival.problems());
    }

    /** Adds all cards of a file as one change. */
    Made take(UUID project, UUID author, String fileName, byte[] file) {
        List<Card> cards = renamed(read(fileName, file).cards(), palettes.of(project));
        return palettes.change(project, author, List.of(new PaletteEdit.AddCards(cards)));
    }

    private static Arrival read(String fileName, byte[] file) {
        String name = fileName.toLowerCase(Locale.ROOT);
        Arrival arrival;
        if (name.endsWith(".css")) {
            arrival = CssProperties.read(file);
        } else if (name.endsWith(".csv") || name.endsWith(".tsv") || name.endsWith(".txt")) {
            arrival = CardCsv.read(file);
        } else if (name.endsWith(".json") || name.endsWith(".tokens")) {
            arrival = Tokens.read(file);
        } else {
            throw new UnreadableCards("Cards come in as design tokens (.json), tables (.csv) or style sheets (.css).");
        }
        if (arrival.cards().isEmpty()) {
            String first = arrival.problems().isEmpty()
                    ? ""
                    : " " + arrival.problems().get(0).place() + ": "
                            + arrival.problems().get(0).message();
            throw new UnreadableCards("This file holds no colour that could be read." + first);
        }
        return arrival;
    }

    /** A name that is taken already gets a number. */
    private static List<Card> renamed(List<Card> cards, Palette palette) {
        Set<String> taken = palette.cards().stream().map(Card::name).collect(Collectors.toSet());
        List<Card> renamed = new ArrayList<>();
        for (Card card : cards) {
            String free = card.name();
            for (int i = 2; !taken.add(free); i++) {
                free = card.name() + " " + i;
            }
            renamed.add(new Card(card.id(), free, card.subject(), card.swatches()));
        }
        return renamed;
    }
}
