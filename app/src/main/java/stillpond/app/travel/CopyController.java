package stillpond.app.travel;

import java.io.IOException;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.app.account.SignedIn;
import stillpond.core.refusal.Refusal;

/** Copies of projects, asked for on the shelf. */
@Controller
class CopyController {

    private final ProjectFiles files;

    CopyController(ProjectFiles files) {
        this.files = files;
    }

    @PostMapping("/shelf/{project}/copy")
    String copy(
            @PathVariable UUID project,
            @RequestParam boolean fills,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told)
            throws IOException {
        try {
            files.copy(project, person.id(), fills);
            told.addFlashAttribute("said", "Copied. The copy stands at the end of the shelf.");
        } catch (Refusal refusal) {
            told.addFlashAttribute("keepRefusal", refusal.getMessage());
        }
        return "redirect:/";
    }
}
