package stillpond.app.check;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Palette;
import tools.jackson.databind.json.JsonMapper;

/** What a layer wears otherwise than other sheets, as the drawer of the check tells it. */
@Component
public class DifferenceList {

    private final SheetDifferences differences;
    private final Sheets sheets;
    private final SheetColours colours;

    private final JsonMapper json;

    DifferenceList(SheetDifferences differences, Sheets sheets, SheetColours colours, JsonMapper json) {
        this.differences = differences;
        this.sheets = sheets;
        this.colours = colours;
        this.json = json;
    }

    /** @param sheets where it is worn, by title */
    record Row(String key, String note, List<String> sheets, List<Integer> places, CheckAct act) {}

    /** Adds to a model what the fragment {@code differing} of the drawer is made of. */
    public void addTo(Model model, Sheet sheet) {
        model.addAttribute("sheet", sheet);
        model.addAttribute("differing", of(sheet));
        model.addAttribute("json", json);
    }

    private List<Row> of(Sheet sheet) {
        Fills fills = sheets.fills(sheet.layer());
        Palette palette = colours.dressed(sheet);
        return differences.of(sheet.layer()).stream()
                .map(each -> row(each, fills, palette))
                .toList();
    }

    private static Row row(Difference difference, Fills fills, Palette palette) {
        Fill there = Fill.ofText(difference.fill());
        String name = FillNames.of(there, palette);
        List<String> titles = difference.sheets();
        String where = titles.size() == 1 ? titles.get(0) : titles.size() + " other sheets";
        String here = FillNames.of(fills.of(difference.cells().get(0)), palette);
        return new Row(
                difference.key(),
                name + " on " + where + ", " + here + " here",
                titles,
                difference.cells(),
                CheckAct.lay("Wear " + name, there, difference.cells()));
    }
}
