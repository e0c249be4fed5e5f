package stillpond.app.check;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import stillpond.app.account.SignedIn;
import stillpond.app.remark.Remarks;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;

/** The drawer of the check, and what is counted of it elsewhere. */
@Controller
@RequestMapping("/projects/{project}/sheets/{sheet}/check")
class CheckController {

    private static final String DRAWER = "check/check :: check";

    private final Sheets sheets;
    private final SheetColours colours;
    private final SheetFindings findings;
    private final SheetDifferences differences;
    private final DifferenceList differing;
    private final Remarks remarks;

    CheckController(
            Sheets sheets,
            SheetColours colours,
            SheetFindings findings,
            SheetDifferences differences,
            DifferenceList differing,
            Remarks remarks) {
        this.sheets = sheets;
        this.colours = colours;
        this.findings = findings;
        this.differences = differences;
        this.differing = differing;
        this.remarks = remarks;
    }

    /** @param key of a finding or a difference */
    record Acceptance(@NotBlank @Size(max = 300) String key, boolean isMeant) {}

    /** What is wrong or suspicious on the sheet as the server has it. */
    @GetMapping
    String check(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestParam(defaultValue = "false") boolean accepted,
            Model model) {
        return drawer(sheets.get(project, sheet, layer), accepted, model);
    }

    /** How much of it there is, in a few words for a small picture; nothing if there is nothing. */
    @GetMapping(path = "/count", produces = MediaType.TEXT_HTML_VALUE)
    @ResponseBody
    String count(@PathVariable UUID project, @PathVariable UUID sheet) {
        long count = findings.count(project, sheet);
        long unlike = differences.count(project, sheet);
        long said = remarks.openOn(sheet);
        return Stream.of(
                        count == 0 ? "" : count + " to check",
                        unlike == 0 ? "" : unlike + " unlike other sheets",
                        said == 0 ? "" : said == 1 ? "1 remark" : said + " remarks")
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(", "));
    }

    @PostMapping("/accepted")
    String accept(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestParam(defaultValue = "false") boolean accepted,
            @AuthenticationPrincipal SignedIn person,
            @Valid Acceptance acceptance,
            Model model) {
        Sheet present = sheets.get(project, sheet, layer);
        findings.accept(present.layer(), person.id(), acceptance.key(), acceptance.isMeant());
        return drawer(present, accepted, model);
    }

    private String drawer(Sheet sheet, boolean showsAccepted, Model model) {
        FindingWords words = new FindingWords(sheets.fills(sheet.layer()), colours.dressed(sheet));
        differing.addTo(model, sheet);
        model.addAttribute(
                "check",
                CheckList.of(
                        findings.of(sheet.project(), sheet.id()), sheet.layer().id(), words, showsAccepted));
        return DRAWER;
    }
}
