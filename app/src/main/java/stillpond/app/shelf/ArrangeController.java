package stillpond.app.shelf;

import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.sheet.SheetState;
import stillpond.app.sheet.SheetWork;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** The small menus on the project page; each act leads back to the page. */
@Controller
@RequestMapping("/projects/{project}")
class ArrangeController {

    private static final String BACK = "redirect:/projects/{project}";

    private final SheetOrder sheets;
    private final Sheets all;
    private final SheetWork work;
    private final Projects projects;
    private final Accounts accounts;

    ArrangeController(SheetOrder sheets, Sheets all, SheetWork work, Projects projects, Accounts accounts) {
        this.sheets = sheets;
        this.all = all;
        this.work = work;
        this.projects = projects;
        this.accounts = accounts;
    }

    /** What is in the menu of a sheet. */
    @GetMapping("/sheets/{sheet}/arrange")
    String arrange(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Sheet present = all.get(project, sheet);
        model.addAttribute("sheet", present);
        model.addAttribute("states", SheetState.values());
        model.addAttribute("holder", present.inHandOf().orElse(null));
        model.addAttribute(
                "holderName",
                accounts.names(present.inHandOf().stream().toList()).values().stream()
                        .findFirst()
                        .orElse(""));
        model.addAttribute(
                "isOwn", present.inHandOf().filter(person.id()::equals).isPresent());
        model.addAttribute("mayCover", projects.may(project, person.id(), Right.KEEP_SHELF));
        model.addAttribute("mayFinish", projects.may(project, person.id(), Right.FINISH_SHEETS));
        model.addAttribute("people", work.mayBeGiven(project, person.id()));
        model.addAttribute("scenes", projects.scenes(project));
        return "shelf/arrange :: arrange";
    }

    @PostMapping("/sheets/{sheet}/state")
    String say(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam SheetState state,
            @AuthenticationPrincipal SignedIn person) {
        work.say(project, sheet, state, person.id());
        return BACK;
    }

    /** @param from who had it in hand when its menu was opened; left out for nobody */
    @PostMapping("/sheets/{sheet}/take")
    String take(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> from,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> work.take(project, sheet, from, person.id()));
    }

    @PostMapping("/sheets/{sheet}/put-down")
    String putDown(@PathVariable UUID project, @PathVariable UUID sheet, @AuthenticationPrincipal SignedIn person) {
        work.putDown(project, sheet, person.id());
        return BACK;
    }

    @PostMapping("/sheets/{sheet}/give")
    String give(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam UUID to,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> work.give(project, sheet, to, person.id()));
    }

    private static String tell(RedirectAttributes told, Runnable act) {
        try {
            act.run();
        } catch (Refusal refusal) {
            told.addFlashAttribute("refusal", refusal.getMessage());
        }
        return BACK;
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

    @PostMapping("/scenes/{scene}/state")
    String sayOfScene(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @RequestParam SheetState state,
            @AuthenticationPrincipal SignedIn person) {
        work.sayOfScene(project, projects.scene(project, scene).id(), state, person.id());
        return BACK;
    }

    @PostMapping("/scenes/{scene}/give")
    String giveScene(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @RequestParam UUID to,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(
                told,
                () -> work.giveScene(project, projects.scene(project, scene).id(), to, person.id()));
    }

    /** Has the sheet stand for the project on the shelf. */
    @PostMapping("/sheets/{sheet}/cover")
    String cover(@PathVariable UUID project, @PathVariable UUID sheet, @AuthenticationPrincipal SignedIn person) {
        all.require(project, sheet);
        projects.cover(project, sheet, person.id());
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
