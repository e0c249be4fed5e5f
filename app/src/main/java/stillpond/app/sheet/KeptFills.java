package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Staging;
import stillpond.core.refusal.Refusal;

/** Gradients and patterns that are kept on cards. What wears one names it, so that a change of it reaches all its uses, as one change. */
@Service
@Transactional
public class KeptFills {

    private final Stagings stagings;
    private final Palettes palettes;
    private final WornSwatches worn;
    private final History history;

    KeptFills(Stagings stagings, Palettes palettes, WornSwatches worn, History history) {
        this.stagings = stagings;
        this.palettes = palettes;
        this.worn = worn;
        this.history = history;
    }

    @Transactional(readOnly = true)
    public List<Staging.KeptFill> of(UUID project) {
        return stagings.of(project).kept();
    }

    /**
     * Keeps a fill on a card, or changes one that is kept, wherever it is worn.
     *
     * @param id a new one, or that of the one to change
     * @return what is kept
     * @throws Refusal if it can not be kept; then nothing is changed
     */
    public Staging.KeptFill keep(UUID project, UUID author, UUID id, String name, UUID card, String text) {
        Palette palette = palettes.of(project);
        if (palette.card(card).filter(each -> !each.isNeutral()).isEmpty()) {
            throw new Refusal("This card is not there any more. Nothing was changed.");
        }
        Fill fill = Fill.ofText(text).keptAs(Optional.of(id)).nowhere();
        if (!palette.hasAll(fill.swatches())) {
            throw new Refusal("One of its swatches is on none of the project's cards any more. Nothing was changed.");
        }
        Staging.KeptFill kept = new Staging.KeptFill(id, name, card, fill.text());
        boolean isKnown = stagings.of(project).kept(id).isPresent();
        List<Effect> effects = new ArrayList<>();
        stagings.stage(project, staging -> staging.with(kept)).ifPresent(effects::add);
        if (!effects.isEmpty()) {
            effects.addAll(worn.restyle(project, id, fill));
            String words = (isKnown ? "Changed '" : "Kept '")
                    + kept.name()
                    + (isKnown ? "' wherever it is worn" : "' on a card");
            history.keep(project, author, words, effects);
        }
        return kept;
    }

    /** Takes a fill off its card; what wears it goes on wearing it as it is. */
    public void drop(UUID project, UUID author, UUID id) {
        stagings.change(project, author, "Took a kept fill off its card", staging -> staging.withoutKept(id));
    }
}
