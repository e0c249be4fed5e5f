package stillpond.app.sheet;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
    public Line of(UUID project, UUID author, UUID sheet, int most) {
        List<UndoLine.Known<UUID>> known = history.knownOn(project, author, sheet);
        UndoLine<UUID> all = UndoLine.of(known);
        UndoLine<UUID> told = new UndoLine<>(first(all.undoable(), most), first(all.redoable(), most));
        Set<UUID> isTold = new HashSet<>(told.undoable());
        isTold.addAll(told.redoable());
        return new Line(
                new UndoLine<>(lastDone(told.undoable(), sheet), lastDone(told.redoable(), sheet)),
                known.stream().filter(each -> isTold.contains(each.change())).toList());
    }

    /** @param known when each was made, and when the last step about it was taken */
    public record Line(UndoLine<MadeChange> changes, List<UndoLine.Known<UUID>> known) {}

    private static List<UUID> first(List<UUID> all, int most) {
        return all.subList(0, Math.min(most, all.size()));
    }

    private List<MadeChange> lastDone(List<UUID> ids, UUID sheet) {
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
