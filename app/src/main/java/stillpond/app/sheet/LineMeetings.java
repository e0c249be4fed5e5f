package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.render.Meeting;

/** What happens where two colours of a sheet's ink meet. */
@Component
@Transactional
public class LineMeetings implements EffectKind<Effect.Met> {

    private final SheetRepository sheets;
    private final History history;

    LineMeetings(SheetRepository sheets, History history) {
        this.sheets = sheets;
        this.history = history;
    }

    public void set(UUID sheetId, UUID author, Meeting meeting) {
        StoredSheet sheet = sheets.findAndLock(sheetId).orElseThrow();
        if (sheet.lineMeeting() != meeting) {
            Effect effect = new Effect.Met(sheetId, sheet.lineMeeting(), meeting);
            sheet.setLineMeeting(meeting);
            String words =
                    meeting == Meeting.SOFT ? "Let line colours run into each other" : "Let line colours meet hard";
            history.keep(sheet.projectId(), author, words, List.of(effect));
        }
    }

    @Override
    public Class<Effect.Met> effects() {
        return Effect.Met.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Met effect) {
        StoredSheet sheet = sheets.findById(effect.onSheet()).orElseThrow();
        if (sheet.lineMeeting() != effect.before()) {
            return Done.nothing();
        }
        sheet.setLineMeeting(effect.after());
        return Done.all(effect);
    }
}
