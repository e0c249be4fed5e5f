package stillpond.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.SheetCast;
import stillpond.core.palette.Staging;

/** Stages a scene: its light, what its cards wear, and who is on its sheets, all as one change. */
@Service
@Transactional
class SceneStaging {

    private final Stagings stagings;
    private final SheetCast cast;
    private final History history;

    SceneStaging(Stagings stagings, SheetCast cast, History history) {
        this.stagings = stagings;
        this.cast = cast;
        this.history = history;
    }

    /**
     * @param words what is done, for the history
     * @param said by sheet of the scene: the cards of who is on it
     * @throws Refusal; then nothing is changed
     */
    void stage(UUID project, UUID author, String words, UnaryOperator<Staging> by, Map<UUID, List<UUID>> said) {
        List<Effect> effects = new ArrayList<>();
        stagings.stage(project, by).ifPresent(effects::add);
        history.lockSheets(said.keySet());
        said.forEach((sheet, cards) -> cast.said(sheet, cards).ifPresent(effects::add));
        if (!effects.isEmpty()) {
            history.keep(project, author, words, effects);
        }
    }
}
