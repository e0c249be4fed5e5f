package stillpond.app.carry;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
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
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fill;
import stillpond.core.refusal.Refusal;

/** Carry, as the desk asks for it. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/carry")
class CarryController {

    private final SheetCarrying carrying;
    private final SureLaying laying;
    private final CarryPages drawings;
    private final ComingAlong along;
    private final Corrections corrections;
    private final Sheets sheets;
    private final Palettes palettes;

    CarryController(
            SheetCarrying carrying,
            SureLaying laying,
            CarryPages drawings,
            ComingAlong along,
            Corrections corrections,
            Sheets sheets,
            Palettes palettes) {
        this.carrying = carrying;
        this.laying = laying;
        this.drawings = drawings;
        this.along = along;
        this.corrections = corrections;
        this.sheets = sheets;
        this.palettes = palettes;
    }

    /**
     * @param overFilled whether regions that wear something are spoken of too
     * @param uncovered whether regions that only lie near to what is carried are, too; no if it is left out
     */
    record CarryMessage(
            @NotNull @Size(max = 50) List<UUID> sources,
            boolean overFilled,
            @Nullable Boolean uncovered) {}

    /** @param source the sheet whose region was misleading, {@code layer} and {@code cell} where on it */
    record CorrectionMessage(
            @NotNull UUID source,
            @NotNull UUID layer,
            int cell,
            @NotNull String fill) {}

    @GetMapping("/sources")
    List<SheetCarrying.SourceSheet> sources(@PathVariable UUID project, @PathVariable UUID sheet) {
        return carrying.sources(project, sheet);
    }

    /** @param along what comes along with what is sure, besides what the proposals name */
    record ProposedMessage(SheetCarrying.Proposals proposals, ComingAlong.Along along) {}

    @PostMapping
    ProposedMessage propose(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestBody @Valid CarryMessage message) {
        CarryPage there = drawings.of(sheets.get(project, sheet, layer));
        List<CarryPage> sources = carrying.pages(project, message.sources());
        SheetCarrying.Matched matched =
                carrying.match(there, sources, message.overFilled(), Boolean.TRUE.equals(message.uncovered()));
        return new ProposedMessage(matched.proposals(), along.on(there, sources, matched.likes()));
    }

    @PostMapping("/sure")
    SureLaying.Laid laySure(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid CarryMessage message) {
        return laying.carry(sheets.get(project, sheet), person.id(), message.sources(), layer -> UUID.randomUUID())
                .laid();
    }

    /** What comes along with what the desk has laid as sure. */
    @PostMapping("/along")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void layAlong(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid CarryMessage message) {
        laying.layAlong(sheets.get(project, sheet, layer), person.id(), message.sources());
    }

    @PostMapping("/corrections")
    void correct(@PathVariable UUID project, @PathVariable UUID sheet, @RequestBody @Valid CorrectionMessage message) {
        sheets.get(project, sheet);
        Sheet source = sheets.get(project, message.source());
        Fill fill = Fill.ofText(message.fill());
        if (!palettes.of(project).hasAll(fill.swatches())) {
            throw new Refusal("This swatch is on none of the project's cards.");
        }
        // A source cut anew meanwhile has other cells: then there is nothing to learn.
        boolean isOfSource = source.layers().stream()
                .anyMatch(layer -> layer.id().equals(message.layer()) && layer.hasCells(List.of(message.cell())));
        if (isOfSource) {
            corrections.note(message.layer(), message.cell(), fill.text());
        }
    }
}
