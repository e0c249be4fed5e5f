package stillpond.app.shelf;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.SheetState;
import stillpond.app.sheet.SheetWork;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

@Controller
class ShelfController {

    private final ProjectViews views;
    private final Projects projects;
    private final NewProjects newProjects;
    private final Sheets sheets;
    private final SheetWork work;

    ShelfController(ProjectViews views, Projects projects, NewProjects newProjects, Sheets sheets, SheetWork work) {
        this.views = views;
        this.projects = projects;
        this.newProjects = newProjects;
        this.sheets = sheets;
        this.work = work;
    }

    @GetMapping("/")
    String shelf(@AuthenticationPrincipal SignedIn person, Model model) {
        List<ProjectView> present = views.ofMember(person.id());
        model.addAttribute("projects", present);
        model.addAttribute(
                "kept",
                present.stream()
                        .map(ProjectView::id)
                        .filter(project -> projects.may(project, person.id(), Right.KEEP_SHELF))
                        .toList());
        model.addAttribute("archived", projects.archivedOf(person.id()));
        model.addAttribute("removed", projects.removedOf(person.id()));
        return "shelf/shelf";
    }

    /** Called by the form on the shelf, which shows a refusal in place. */
    @PostMapping("/projects")
    Object start(@AuthenticationPrincipal SignedIn person, @RequestParam String title, Model model) {
        try {
            UUID project = newProjects.start(title, person.id());
            return ResponseEntity.status(HttpStatus.NO_CONTENT)
                    .header("HX-Redirect", "/projects/" + project)
                    .header(HttpHeaders.LOCATION, "/projects/" + project)
                    .build();
        } catch (Refusal refusal) {
            model.addAttribute("title", title);
            model.addAttribute("refusal", refusal.getMessage());
            return "shelf/shelf :: new-project";
        }
    }

    @GetMapping("/projects/{project}")
    String project(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, Model model) {
        model.addAttribute("project", views.get(project));
        model.addAttribute("states", SheetState.values());
        model.addAttribute("mayFinish", projects.may(project, person.id(), Right.FINISH_SHEETS));
        model.addAttribute("people", work.mayBeGiven(project, person.id()));
        model.addAttribute("mayRemoveScenes", projects.may(project, person.id(), Right.REMOVE_SCENES));
        model.addAttribute("removedScenes", projects.removedScenes(project));
        model.addAttribute("removedSheets", sheets.removed(project));
        return "shelf/project";
    }
}
