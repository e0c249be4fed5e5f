package stillpond.core.ledger;

import java.util.List;
import java.util.TreeSet;
import java.util.UUID;
import stillpond.core.refusal.Refusal;

/**
 * Cells of a layer that are handled as one.
 *
 * @param isHidden whether their flats are not shown
 * @param isLocked whether their fills stay as they are
 * @param cells in rising order
 */
public record CellGroup(UUID id, String name, boolean isHidden, boolean isLocked, List<Integer> cells) {

    private static final int LONGEST_NAME = 120;

    public CellGroup {
        name = name == null ? "" : name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Refusal("A group has a name of up to " + LONGEST_NAME + " characters.");
        }
        cells = List.copyOf(new TreeSet<>(cells));
    }

    public CellGroup named(String other) {
        return new CellGroup(id, other, isHidden, isLocked, cells);
    }

    public CellGroup hidden(boolean hides) {
        return new CellGroup(id, name, hides, isLocked, cells);
    }

    public CellGroup locked(boolean locks) {
        return new CellGroup(id, name, isHidden, locks, cells);
    }

    CellGroup with(List<Integer> others) {
        return new CellGroup(id, name, isHidden, isLocked, others);
    }
}
