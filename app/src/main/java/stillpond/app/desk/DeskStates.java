package stillpond.app.desk;

import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Sharpening;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.UndoableChanges;
import stillpond.app.sheet.WornLayers;

/** Puts together what the desk starts with. */
@Service
class DeskStates {

    /** How many steps back and forth the desk can paint without waiting for the server. */
    private static final int KNOWN_STEPS = 200;

    private final Sheets sheets;
    private final UndoableChanges undoable;
    private final SheetColours colours;
    private final Stagings stagings;
    private final Sharpening sharpening;
    private final LayerShadows shadows;
    private final WornLayers worn;

    DeskStates(
            Sheets sheets,
            UndoableChanges undoable,
            SheetColours colours,
            Stagings stagings,
            Sharpening sharpening,
            LayerShadows shadows,
            WornLayers worn) {
        this.sheets = sheets;
        this.undoable = undoable;
        this.colours = colours;
        this.stagings = stagings;
        this.sharpening = sharpening;
        this.shadows = shadows;
        this.worn = worn;
    }

    /** Also has the gaps of a sheet found that missed it. */
    DeskState of(Sheet sheet, UUID person) {
        sharpening.soon(sheet);
        return DeskState.of(
                sheet,
                sheets.fills(sheet.layer()),
                sheets.dams(sheet.layer()),
                shadows.of(sheet.layer().id()),
                worn.elsewhere(sheet),
                worn.leftElsewhere(sheet),
                palette(sheet),
                line(sheet, person));
    }

    DeskState.LineState line(Sheet sheet, UUID person) {
        return DeskState.LineState.of(undoable.of(sheet.project(), person, sheet.id(), KNOWN_STEPS));
    }

    SheetPalette palette(Sheet sheet) {
        return SheetPalette.of(colours.dressed(sheet), stagings.of(sheet.project()), sheet.scene(), sheet.id());
    }
}
