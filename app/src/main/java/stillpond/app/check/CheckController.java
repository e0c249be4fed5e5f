package stillpond.app.check;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Sheets;

/** The calls of the check. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/check")
class CheckController {

    private final Sheets sheets;
    private final SheetFindings findings;
    private final SheetDifferences differences;

    CheckController(Sheets sheets, SheetFindings findings, SheetDifferences differences) {
        this.sheets = sheets;
        this.findings = findings;
        this.differences = differences;
    }

    /** @param key see {@link FindingMessage#key} */
    record Acceptance(@NotBlank @Size(max = 300) String key, boolean isMeant) {}

    /** What is wrong or suspicious on the sheet as the server has it. */
    @GetMapping
    List<FindingMessage> check(@PathVariable UUID project, @PathVariable UUID sheet) {
        return findings.of(project, sheet).stream().map(FindingMessage::of).toList();
    }

    /** What is worn otherwise than on other sheets, as it was found when this one had been quiet for a while. */
    @GetMapping("/differences")
    List<Difference> differences(
            @PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        return differences.of(sheets.get(project, sheet, layer).layer());
    }

    /** How much of it there is, in a few words for a small picture; nothing if there is nothing. */
    @GetMapping(path = "/count", produces = MediaType.TEXT_HTML_VALUE)
    String count(@PathVariable UUID project, @PathVariable UUID sheet) {
        long count = findings.count(project, sheet);
        long unlike = differences.count(project, sheet);
        return Stream.of(count == 0 ? "" : count + " to check", unlike == 0 ? "" : unlike + " unlike other sheets")
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(", "));
    }

    @PostMapping("/accepted")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void accept(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid Acceptance acceptance) {
        findings.accept(sheets.get(project, sheet, layer).layer(), person.id(), acceptance.key(), acceptance.isMeant());
    }
}
