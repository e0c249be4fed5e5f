package stillpond.app.shelf;

import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import stillpond.app.sheet.SheetState;

/** A scene with its sheets in order. */
public record SceneView(UUID id, String title, List<SheetTile> sheets) {

    /** How far it is: as far as the sheet of it that is least far. */
    public SheetState state() {
        return sheets.stream()
                .map(SheetTile::state)
                .min(Comparator.naturalOrder())
                .orElse(SheetState.TO_DO);
    }

    /** How many of its sheets are said to be done. */
    public long done() {
        return sheets.stream().filter(sheet -> sheet.state() == SheetState.DONE).count();
    }
}
