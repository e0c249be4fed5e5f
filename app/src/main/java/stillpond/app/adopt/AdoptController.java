package stillpond.app.adopt;

import java.io.IOException;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.account.SignedIn;

/** Brings in flats already laid. */
@RestController
class AdoptController {

    private final FlatsAdoption adoption;
    private final InkAdoption inkAdoption;

    AdoptController(FlatsAdoption adoption, InkAdoption inkAdoption) {
        this.adoption = adoption;
        this.inkAdoption = inkAdoption;
    }

    /** Takes over the colours that the line art was drawn in. */
    @PostMapping("/projects/{project}/sheets/{sheet}/ink-colours")
    InkAdoption.TakenOver adoptInk(
            @PathVariable UUID project, @PathVariable UUID sheet, @AuthenticationPrincipal SignedIn person) {
        return inkAdoption.adopt(project, sheet, person.id());
    }

    @PostMapping("/projects/{project}/sheets/{sheet}/flats")
    FlatsAdoption.Adopted adopt(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam MultipartFile file)
            throws IOException {
        return adoption.adopt(project, sheet, person.id(), file.getBytes());
    }
}
