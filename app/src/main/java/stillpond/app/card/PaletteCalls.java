package stillpond.app.card;

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
import stillpond.app.history.Made;
import stillpond.app.history.Steps;
import stillpond.app.palette.CardState;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.ColourNames;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;

/** The calls of the mixer and the card page. */
@RestController
@RequestMapping("/projects/{project}/palette")
class PaletteCalls {

    private static final int MOST_EDITS = 500;
    private static final String TOO_MANY = "Up to 500 edits are made at once";

    private final Palettes palettes;
    private final CardEdits edits;
    private final Steps steps;
    private final Projects projects;
    private final Proposals proposals;
    private final UsedColours used;
    private final PrintConditions printConditions;
    private final ReferencePictures pictures;

    PaletteCalls(
            Palettes palettes,
            CardEdits edits,
            Steps steps,
            Projects projects,
            Proposals proposals,
            UsedColours used,
            PrintConditions printConditions,
            ReferencePictures pictures) {
        this.palettes = palettes;
        this.edits = edits;
        this.steps = steps;
        this.projects = projects;
        this.proposals = proposals;
        this.used = used;
        this.printConditions = printConditions;
        this.pictures = pictures;
    }

    /** @param undoable what the person would take back next, in words; null if nothing */
    record PaletteState(List<CardState> cards, @Nullable String undoable, boolean isLead) {}

    @GetMapping
    PaletteState palette(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person) {
        return new PaletteState(
                CardView.of(palettes.of(project)).stream().map(CardState::of).toList(),
                steps.next(project, person.id()).map(Made::words).orElse(null),
                projects.may(project, person.id(), Right.CHANGE_LOCKED_CARDS));
    }

    /** A change that was made, or taken back. */
    record Done(String words) {}

    @PostMapping("/changes")
    Done make(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Size(max = MOST_EDITS, message = TOO_MANY) List<@Valid EditMessage> messages) {
        return new Done(edits.make(project, person.id(), messages, "").words());
    }

    /** Edits that somebody asks the lead for. @param reason not blank */
    record ProposalMessage(
            String reason, @NotNull @Size(max = MOST_EDITS) List<@Valid EditMessage> edits) {}

    @PostMapping("/proposals")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void propose(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid ProposalMessage message) {
        edits.outlook(project, message.edits());
        proposals.make(project, person.id(), message.reason(), message.edits());
    }

    /** What some edits would change, which is nothing yet. */
    @PostMapping("/outlook")
    CardEdits.Outlook outlook(
            @PathVariable UUID project,
            @RequestBody @Size(max = MOST_EDITS, message = TOO_MANY) List<@Valid EditMessage> messages) {
        return edits.outlook(project, messages);
    }

    @PostMapping("/undo")
    Done undo(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person) {
        return new Done(steps.undoNext(project, person.id()));
    }

    /** The colour that shares of ink make on paper, each 0 to 1; the answer is null if no print condition is installed. */
    @GetMapping("/printed")
    Printed printed(
            @PathVariable UUID project,
            @RequestParam double cyan,
            @RequestParam double magenta,
            @RequestParam double yellow,
            @RequestParam double black) {
        Cmyk shares = new Cmyk(cyan, magenta, yellow, black);
        return new Printed(printConditions
                .of(project)
                .map(condition -> condition.shown(shares).hex())
                .orElse(null));
    }

    record Printed(@Nullable String colour) {}

    /** A reference picture of the project. */
    record PictureState(UUID id, String title, int widthPx, int heightPx) {}

    @GetMapping("/pictures")
    List<PictureState> pictures(@PathVariable UUID project) {
        return pictures.of(project).stream()
                .map(each -> new PictureState(each.id(), each.title(), each.widthPx(), each.heightPx()))
                .toList();
    }

    /**
     * What can be said about a colour.
     *
     * @param inks shares of cyan, magenta, yellow and black, 0 to 1, or null likewise
     * @param printable the nearest colour that comes out in print, or null if no print condition is installed
     */
    record About(
            String name,
            @Nullable String printable,
            boolean isPrintable,
            @Nullable Cmyk inks) {}

    @GetMapping("/about")
    About about(@PathVariable UUID project, @RequestParam String colour) {
        Srgb srgb = Srgb.ofHex(colour);
        Optional<PrintCondition> condition = printConditions.of(project);
        return new About(
                ColourNames.suggest(srgb),
                condition.map(each -> each.printable(srgb).hex()).orElse(null),
                condition.map(each -> each.isPrintable(srgb)).orElse(true),
                condition.map(each -> each.inks(srgb)).orElse(null));
    }

    @GetMapping("/used")
    List<String> used(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person) {
        return used.of(person.id());
    }
}
