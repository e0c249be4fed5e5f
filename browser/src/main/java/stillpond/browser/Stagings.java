package stillpond.browser;

import org.teavm.jso.JSExport;
import stillpond.core.palette.Staging;

/** How scenes and their sheets are staged. Choices are `follow`, `plain` or an id. */
public final class Stagings {

    private Stagings() {}

    /** What counts on a sheet: `plain` or an id. */
    @JSExport
    public static String settled(String sheet, String scene) {
        return Staging.Choice.ofText(sheet).within(Staging.Choice.ofText(scene)).text();
    }
}
