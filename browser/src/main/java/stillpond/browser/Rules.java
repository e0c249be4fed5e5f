package stillpond.browser;

import org.teavm.jso.JSExportClasses;

/** What a page may ask of the core; each class is one of the script's exports. */
@JSExportClasses({
    BlockedIn.class,
    Colours.class,
    EvenLines.class,
    FillLook.class,
    FillTexts.class,
    Layer.class,
    Ledgers.class,
    Lights.class,
    OwnLine.class,
    Plane.class,
    Ramps.class,
    Shapes.class,
    SheetGroups.class,
    SheetRegions.class,
    SheetShadows.class,
    SheetStrokes.class,
    Stagings.class,
    Values.class,
    WarmUp.class
})
public final class Rules {

    private Rules() {}

    public static void main(String[] arguments) {
        // The compiler begins here; there is nothing to do until a page asks.
    }
}
