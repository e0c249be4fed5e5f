package stillpond.app.story;

import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.page.Times;
import stillpond.app.sheet.Sheets;

/** Who changed what a region wears last. */
@RestController
class LaidByController {

    private final Sheets sheets;
    private final Story story;
    private final Times times;

    LaidByController(Sheets sheets, Story story, Times times) {
        this.sheets = sheets;
        this.story = story;
        this.times = times;
    }

    /** @param words empty if nobody has since the sheet was cut as it is */
    record LaidBy(String words) {}

    /** @param layer the cutting that the cell is of */
    @GetMapping("/projects/{project}/sheets/{sheet}/laid-by")
    LaidBy laidBy(
            @PathVariable UUID project, @PathVariable UUID sheet, @RequestParam UUID layer, @RequestParam int cell) {
        sheets.require(project, sheet);
        return story.lastChange(sheet, layer, cell)
                .map(last -> new LaidBy("Last changed by " + last.who() + ", " + times.minute(last.at())))
                .orElse(new LaidBy(""));
    }
}
