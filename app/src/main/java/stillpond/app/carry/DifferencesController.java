package stillpond.app.carry;

import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.check.DifferenceList;
import stillpond.app.check.SheetDifferences;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** Differences looked for now, for whoever does not want to wait until the sheet has been quiet. */
@Controller
@RequestMapping("/projects/{project}/sheets/{sheet}/carry/differences")
class DifferencesController {

    private final SheetCarrying carrying;
    private final Sheets sheets;
    private final SheetDifferences differences;
    private final DifferenceList differing;

    DifferencesController(
            SheetCarrying carrying, Sheets sheets, SheetDifferences differences, DifferenceList differing) {
        this.carrying = carrying;
        this.sheets = sheets;
        this.differences = differences;
        this.differing = differing;
    }

    @GetMapping
    String look(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer, Model model) {
        Sheet present = sheets.get(project, sheet, layer);
        differences.keep(present.layer(), carrying.differences(present));
        differing.addTo(model, present);
        model.addAttribute("isLooked", true);
        return "check/check :: differing";
    }
}
