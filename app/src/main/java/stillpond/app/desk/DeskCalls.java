package stillpond.app.desk;

import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.UnfitChange;

/** The calls of the desk. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class DeskCalls {

    private static final int MOST_AT_ONCE = 200;
    private static final String TOO_MANY = "Up to 200 changes are made at once";

    private final Sheets sheets;
    private final SheetChanges changes;
    private final DeskStates states;
    private final Planes planes;

    DeskCalls(Sheets sheets, SheetChanges changes, DeskStates states, Planes planes) {
        this.sheets = sheets;
        this.changes = changes;
        this.states = states;
        this.planes = planes;
    }

    @GetMapping("/desk")
    DeskState state(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person) {
        return states.of(sheets.get(project, sheet, layer), person.id());
    }

    /** What the person can take back and do again here, after a change that did not come from here as one of {@link #make}. */
    @GetMapping("/line")
    DeskState.LineState line(
            @PathVariable UUID project, @PathVariable UUID sheet, @AuthenticationPrincipal SignedIn person) {
        return states.line(sheets.get(project, sheet), person.id());
    }

    /** The colours of the sheet alone, for a desk that is open while they change. */
    @GetMapping("/colours")
    SheetPalette colours(@PathVariable UUID project, @PathVariable UUID sheet) {
        return states.palette(sheets.get(project, sheet));
    }

    /** Whether the gaps of the sheet have been found; asked by a desk that was opened before. */
    @GetMapping("/sharp")
    boolean isSharp(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        return sheets.get(project, sheet, layer).layer().isSharp();
    }

    /**
     * Makes the changes in their order. One that is refused does not hold up the others; if one cannot be understood, none is made, and it is
     * named.
     */
    @PostMapping("/changes")
    List<ChangeAnswer> make(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Size(max = MOST_AT_ONCE, message = TOO_MANY) List<ChangeMessage> messages) {
        sheets.require(project, sheet);
        List<ChangeRequest> requests =
                messages.stream().map(ChangeMessage::asRequest).toList();
        return changes.makeAll(sheet, person.id(), requests).stream()
                .map(ChangeAnswer::of)
                .toList();
    }

    @ExceptionHandler(UnfitChange.class)
    ProblemDetail unfit(UnfitChange problem) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, problem.getMessage());
        detail.setProperty("change", problem.change());
        return detail;
    }

    /** A plane of this sheet as it is stored: gzip, and the same for ever under the same name. */
    @GetMapping("/planes/{name}")
    ResponseEntity<byte[]> plane(@PathVariable UUID project, @PathVariable UUID sheet, @PathVariable String name) {
        if (!sheets.hasPlane(project, sheet, name)) {
            throw new NoSuchElementException(name);
        }
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(HttpHeaders.CONTENT_ENCODING, "gzip")
                .body(planes.content(name));
    }
}
