package stillpond.app.shelf;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Projects;
import stillpond.core.refusal.Refusal;

/** What is done with whole projects on the shelf. Not below {@code /projects}, where nobody gets into a project that is removed. */
@Controller
@RequestMapping("/shelf/{project}")
class KeepController {

    private static final String BACK = "redirect:/";

    private final Projects projects;

    KeepController(Projects projects) {
        this.projects = projects;
    }

    @PostMapping("/rename")
    String rename(
            @PathVariable UUID project,
            @RequestParam String title,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        try {
            projects.rename(project, title, person.id());
        } catch (Refusal refusal) {
            told.addFlashAttribute("keepRefusal", refusal.getMessage());
        }
        return BACK;
    }

    @PostMapping("/put-away")
    String putAway(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, RedirectAttributes told) {
        projects.archive(project, true, person.id());
        told.addFlashAttribute("said", "Put away. It stands at the foot of the shelf.");
        return BACK;
    }

    @PostMapping("/take-out")
    String takeOut(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person) {
        projects.archive(project, false, person.id());
        return BACK;
    }

    @PostMapping("/remove")
    String remove(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, RedirectAttributes told) {
        projects.remove(project, person.id());
        told.addFlashAttribute(
                "said", "Removed. It can be brought back at the foot of the shelf; until then nobody gets in.");
        return BACK;
    }

    @PostMapping("/bring-back")
    String bringBack(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person) {
        projects.bringBack(project, person.id());
        return BACK;
    }
}
