package stillpond.app.shelf;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Projects;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.sheet.Sheets;

/** The small menus on the project page; each act leads back to the page. */
@Controller
@RequestMapping("/projects/{project}")
class ArrangeController {

    private static final String BACK = "redirect:/projects/{project}";

    private final SheetOrder sheets;
    private final Sheets all;
    private final Projects projects;

    ArrangeController(SheetOrder sheets, Sheets all, Projects projects) {
        this.sheets = sheets;
        this.all = all;
        this.projects = projects;
    }

    /** What is in the menu of a sheet. */
    @GetMapping("/sheets/{sheet}/arrange")
    String arrange(@PathVariable UUID project, @PathVariable UUID sheet, Model model) {
        model.addAttribute("sheet", all.get(project, sheet));
        model.addAttribute("scenes", projects.scenes(project));
        return "shelf/arrange :: arrange";
    }

    @PostMapping("/sheets/{sheet}/rename")
    String renameSheet(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam String title) {
        sheets.rename(project, sheet, title);
        return BACK;
    }

    @PostMapping("/sheets/{sheet}/move")
    String moveSheet(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam int by) {
        sheets.move(project, sheet, by);
        return BACK;
    }

    @PostMapping("/sheets/{sheet}/move-to")
    String moveSheetTo(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam UUID scene) {
        sheets.moveTo(project, sheet, scene);
        return BACK;
    }

    @PostMapping("/sheets/{sheet}/copy")
    String copySheet(@PathVariable UUID project, @PathVariable UUID sheet) {
        sheets.copy(project, sheet);
        return BACK;
    }

    @PostMapping("/sheets/{sheet}/remove")
    String removeSheet(@PathVariable UUID project, @PathVariable UUID sheet) {
        sheets.remove(project, sheet);
        return BACK;
    }

    @PostMapping("/sheets/{sheet}/bring-back")
    String bringSheetBack(@PathVariable UUID project, @PathVariable UUID sheet) {
        sheets.bringBack(project, sheet);
        return BACK;
    }

    @PostMapping("/scenes/{scene}/rename")
    String renameScene(@PathVariable UUID project, @PathVariable UUID scene, @RequestParam String title) {
        projects.renameScene(project, scene, title);
        return BACK;
    }

    @PostMapping("/scenes/{scene}/move")
    String moveScene(@PathVariable UUID project, @PathVariable UUID scene, @RequestParam int by) {
        projects.moveScene(project, scene, by);
        return BACK;
    }

    @PostMapping("/scenes/{scene}/remove")
    String removeScene(@PathVariable UUID project, @PathVariable UUID scene, @AuthenticationPrincipal SignedIn person) {
        projects.removeScene(project, scene, person.id());
        return BACK;
    }

    @PostMapping("/scenes/{scene}/bring-back")
    String bringSceneBack(
            @PathVariable UUID project, @PathVariable UUID scene, @AuthenticationPrincipal SignedIn person) {
        projects.bringSceneBack(project, scene, person.id());
        return BACK;
    }
}
