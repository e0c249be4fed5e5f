package stillpond.app.card;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fill;

/** Swatches that come with the fills that are made of them: the steps of a ramp, or colours that were adjusted for some regions only. */
@RestController
class NewSwatchesController {

    private static final int MOST_EDITS = 500;

    private final Sheets sheets;
    private final CardEdits edits;

    NewSwatchesController(Sheets sheets, CardEdits edits) {
        this.sheets = sheets;
        this.edits = edits;
    }

    /** @param fills by their texts: the cells that are to wear them */
    record NewSwatches(
            @NotNull @Size(min = 1, max = MOST_EDITS) List<@NotNull @Valid EditMessage> edits,
            @NotNull UUID layer,
            @NotNull Map<String, @NotNull List<@NotNull Integer>> fills) {

        Map<Integer, Fill> fillByCell() {
            Map<Integer, Fill> byCell = new HashMap<>();
            fills.forEach((text, cells) -> {
                Fill fill = Fill.ofText(text);
                cells.forEach(cell -> byCell.put(cell, fill));
            });
            return byCell;
        }
    }

    @PostMapping("/projects/{project}/sheets/{sheet}/new-swatches")
    PaletteCalls.Done lay(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid NewSwatches message) {
        sheets.get(project, sheet);
        return new PaletteCalls.Done(
                edits.makeAndLay(project, person.id(), message.edits(), sheet, message.layer(), message.fillByCell())
                        .words());
    }
}
