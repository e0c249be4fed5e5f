package stillpond.app.palette;

import java.util.List;
import java.util.UUID;
import stillpond.core.palette.Card;
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

    static CardText of(Card card, int position) {
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

    Card asCard() {
        return new Card(
                id,
                name,
                subject,
                kind,
                locked,
                swatches.stream().map(SwatchText::asSwatch).toList());
    }
}
