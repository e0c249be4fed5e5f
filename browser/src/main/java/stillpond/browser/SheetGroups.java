package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.teavm.jso.JSExport;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;

/** The groups of the layer that is open. */
public final class SheetGroups {

    private final List<CellGroup> groups = new ArrayList<>();

    @JSExport
    public SheetGroups() {}

    /** One more, behind the others. */
    @JSExport
    public void add(String id, String name, boolean isHidden, boolean isLocked, int[] cells) {
        groups.add(new CellGroup(UUID.fromString(id), name, isHidden, isLocked, List.copyOf(Numbers.setOf(cells))));
    }

    CellGroups all() {
        return new CellGroups(groups);
    }

    /** Why some cells keep their fills, for the user; null if they need not. */
    @JSExport
    public @Nullable String objectionTo(int[] cells) {
        return all().objectionTo(Numbers.setOf(cells)).orElse(null);
    }
}
