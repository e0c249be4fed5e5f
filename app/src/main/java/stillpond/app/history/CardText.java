package stillpond.app.history;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import stillpond.core.palette.Card;
import stillpond.core.palette.CardsChange;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Swatch;

/** A card in the form in which the log keeps it. */
record CardText(
        UUID id, String name, String subject, Card.Kind kind, boolean locked, int position, List<SwatchText> swatches) {

    record SwatchText(UUID id, String name, String part, String note, String paint) {
        Swatch asSwatch() {
            return new Swatch(id, name, part, note, Paint.ofText(paint));
        }
    }

    static List<CardText> of(List<CardsChange.Placed> cards) {
        return cards.stream()
                .map(placed -> of(placed.card(), placed.position()))
                .toList();
    }

    static List<CardsChange.Placed> placed(CardText[] texts) {
        return Arrays.stream(texts)
                .sorted(Comparator.comparingInt(CardText::position))
                .map(text -> new CardsChange.Placed(text.position(), text.asCard()))
                .toList();
    }

    private static CardText of(Card card, int position) {
        return new CardText(
                card.id(),
                card.name(),
                card.subject(),
                card.kind(),
                card.locked(),
                position,
                card.swatches().stream()
                        .map(swatch -> new SwatchText(
                                swatch.id(),
                                swatch.name(),
                                swatch.part(),
                                swatch.note(),
                                swatch.paint().text()))
                        .toList());
    }

    private Card asCard() {
        return new Card(
                id,
                name,
                subject,
                kind,
                locked,
                swatches.stream().map(SwatchText::asSwatch).toList());
    }
}
