package stillpond.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import stillpond.app.palette.CardView;
import stillpond.app.sheet.SheetCast;

/** Which cards lie on the shore of a sheet, and in which order: those of whoever is on it. */
@Component
class ShoreCards {

    private final SheetCast cast;

    ShoreCards(SheetCast cast) {
        this.cast = cast;
    }

    /** All while nobody is on the sheet or another one of its scene. Neutrals always come first, and loose colours last, so that none is lost from sight. */
    List<CardView> of(UUID project, UUID sheet, List<CardView> all) {
        Map<UUID, CardView> byId = all.stream().collect(Collectors.toMap(CardView::id, Function.identity()));
        List<CardView> present = cast.around(project, sheet).stream()
                .filter(byId::containsKey)
                .map(byId::get)
                .toList();
        if (present.isEmpty()) {
            return all;
        }
        List<CardView> cards = new ArrayList<>();
        all.stream().filter(CardView::isNeutral).forEach(cards::add);
        present.stream().filter(card -> !card.hasMany()).forEach(cards::add);
        present.stream().filter(CardView::hasMany).forEach(cards::add);
        all.stream().filter(CardView::isLoose).forEach(cards::add);
        return cards;
    }

    void choose(UUID project, UUID author, UUID sheet, List<UUID> cards) {
        cast.say(project, author, sheet, cards);
    }
}
