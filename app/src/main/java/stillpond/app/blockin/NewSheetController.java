package stillpond.app.blockin;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.account.SignedIn;
import stillpond.app.card.ReferencePictures;
import stillpond.app.project.Projects;
import stillpond.core.refusal.Refusal;

/** Begins sheets without line art. */
@Controller
@RequestMapping("/projects/{project}/block-in")
class NewSheetController {

    private final Projects projects;
    private final ReferencePictures pictures;
    private final NewBlockedInSheets sheets;

    NewSheetController(Projects projects, ReferencePictures pictures, NewBlockedInSheets sheets) {
        this.projects = projects;
        this.pictures = pictures;
        this.sheets = sheets;
    }

    @GetMapping
    String page(@PathVariable UUID project, @RequestParam Optional<UUID> scene, Model model) {
        return page(project, NewSheetForm.in(scene.orElse(null)), "", model);
    }

    private String page(UUID project, NewSheetForm form, String told, Model model) {
        model.addAttribute("project", projects.get(project));
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("form", form);
        model.addAttribute("told", told);
        model.addAttribute("pictures", pictures.of(project));
        model.addAttribute("sizes", PageSize.values());
        return "blockin/new";
    }

    /**
     * What somebody asks for.
     *
     * @param wide whether the page lies on its side
     * @param widthMm of the page, where no size is chosen, as {@code heightMm}
     * @param marginMm between the page frame and the edge of the sheet
     * @param picture of the project, to lie on the sheet
     */
    record NewSheetForm(
            @Nullable UUID scene,
            @Nullable String title,
            @Nullable PageSize size,
            @Nullable Boolean wide,
            @Nullable Double widthMm,
            @Nullable Double heightMm,
            @Nullable Integer pixelsPerInch,
            @Nullable Double marginMm,
            @Nullable UUID picture) {

        static NewSheetForm in(@Nullable UUID scene) {
            return new NewSheetForm(scene, "", PageSize.A4, false, 200.0, 150.0, 200, 0.0, null);
        }
    }

    /** What cannot be done is told on the page, which keeps what was asked for. */
    @PostMapping
    String make(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            NewSheetForm form,
            @RequestParam(required = false) @Nullable MultipartFile file,
            Model model,
            HttpServletResponse response)
            throws IOException {
        Optional<NewBlockedInSheets.Brought> brought = file == null || file.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new NewBlockedInSheets.Brought(String.valueOf(file.getOriginalFilename()), file.getBytes()));
        try {
            return "redirect:/projects/" + project + "/sheets/" + sheets.make(project, person.id(), form, brought);
        } catch (Refusal refusal) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(project, form, refusal.getMessage(), model);
        }
    }
}
