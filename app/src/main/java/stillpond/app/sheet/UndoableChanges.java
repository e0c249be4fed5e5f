package stillpond.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.core.history.UndoLine;

/** What one person can take back and do again where one sheet is worked on. */
@Service
@Transactional(readOnly = true)
public class UndoableChanges {

    private final History history;

    UndoableChanges(History history) {
        this.history = history;
    }

    /**
     * Each change tells what was done last about it, which is what the next step takes back: an undo that left alone what somebody else
     * had changed leaves nothing to do again there.
     *
     * @param most at the most so many of each
     */
    public UndoLine<MadeChange> of(UUID project, UUID author, UUID sheet, int most) {
        UndoLine<UUID> line = history.lineOn(project, author, sheet);
        return new UndoLine<>(lastDone(line.undoable(), sheet, most), lastDone(line.redoable(), sheet, most));
    }

    private List<MadeChange> lastDone(List<UUID> all, UUID sheet, int most) {
        List<UUID> ids = all.subList(0, Math.min(most, all.size()));
        Map<UUID, Made> lastSteps = history.lastSteps(ids);
        return ids.stream()
                .map(id -> {
                    Made last = lastSteps.get(id);
                    MadeChange done = MadeChange.of(last, sheet);
                    return last.id().equals(id)
                            ? done
                            : done.stepOf(history.find(id).orElseThrow());
                })
                .toList();
    }
}
