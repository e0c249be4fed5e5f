package stillpond.app.palette;

import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.project.ProjectStarted;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** The palette of each project. */
@Service
@Transactional
public class Palettes {

    private final CardRepository cards;

    Palettes(CardRepository cards) {
        this.cards = cards;
    }

    @Transactional(readOnly = true)
    public Palette of(UUID project) {
        return new Palette(cards.findByProjectIdOrderByPosition(project).stream()
                .map(StoredCard::asCard)
                .toList());
    }

    @EventListener
    void layOutNeutrals(ProjectStarted started) {
        add(started.project(), Card.neutrals());
    }

    /** Adds a card behind the others. */
    public void add(UUID project, Card card) {
        cards.save(new StoredCard(project, cards.countByProjectId(project), card));
    }
}
