package stillpond.app.adopt;

import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Sheets;

/** Brings in flats already laid. */
@RestController
class AdoptController {

    private final Sheets sheets;
    private final FlatsAdoption adoption;
    private final InkAdoption inkAdoption;

    AdoptController(Sheets sheets, FlatsAdoption adoption, InkAdoption inkAdoption) {
        this.sheets = sheets;
        this.adoption = adoption;
        this.inkAdoption = inkAdoption;
    }

    /** Takes over the colours that the line art was drawn in. */
    @PostMapping("/projects/{project}/sheets/{sheet}/ink-colours")
    InkAdoption.TakenOver adoptInk(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person) {
        return inkAdoption.adopt(sheets.get(project, sheet, layer), person.id());
    }

    @PostMapping("/projects/{project}/sheets/{sheet}/flats")
    FlatsAdoption.Adopted adopt(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam(defaultValue = "false") boolean stretched,
            @RequestParam MultipartFile file)
            throws IOException {
        return adoption.adopt(sheets.get(project, sheet, layer), person.id(), file.getBytes(), stretched);
    }

    /** To be asked about, and sent again as one to be stretched. */
    @ExceptionHandler(OtherSize.class)
    @ResponseStatus(HttpStatus.PRECONDITION_FAILED)
    ProblemDetail otherSize(OtherSize other) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.PRECONDITION_FAILED, other.getMessage());
    }
}
