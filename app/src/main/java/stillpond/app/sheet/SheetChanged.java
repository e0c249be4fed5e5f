package stillpond.app.sheet;

import java.util.Optional;
import java.util.UUID;

/**
 * A sheet is another now. Published within the transaction that changes it, once it is known that something changed.
 *
 * @param author empty if nobody asked for it
 */
public record SheetChanged(UUID project, UUID sheet, What what, Optional<UUID> author) {

    /** What is to be asked for again. */
    public enum What {
        FILLS_AND_DAMS,
        CELLS,
        GROUPS,
        PAGE_FRAME,
        /** Who is on the sheet. */
        CAST
    }

    static SheetChanged by(UUID author, UUID project, UUID sheet, What what) {
        return new SheetChanged(project, sheet, what, Optional.of(author));
    }
}
