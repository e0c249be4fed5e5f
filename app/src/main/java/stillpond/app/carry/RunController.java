package stillpond.app.carry;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import stillpond.app.account.SignedIn;
import stillpond.app.background.Background;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Progress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;

/** The page from which fills are carried through a book. */
@Controller
@RequestMapping("/projects/{project}/carry")
class RunController {

    private final Projects projects;
    private final Sheets sheets;
    private final Palettes palettes;
    private final SheetChanges changes;
    private final CarryRuns runs;
    private final Background background;

    RunController(
            Projects projects,
            Sheets sheets,
            Palettes palettes,
            SheetChanges changes,
            CarryRuns runs,
            Background background) {
        this.projects = projects;
        this.sheets = sheets;
        this.palettes = palettes;
        this.changes = changes;
        this.runs = runs;
        this.background = background;
    }

    /**
     * A sheet to choose.
     *
     * @param isModel whether a card is judged by it
     */
    record Tile(UUID id, String title, Progress progress, boolean isModel) {}

    /** @param scene whose sheets are ticked; left out: those of all scenes */
    @GetMapping
    String page(@PathVariable UUID project, @RequestParam Optional<UUID> scene, Model model) {
        Map<UUID, Progress> progress = sheets.progress(project);
        Map<UUID, String> models = new HashMap<>();
        palettes.models(project).forEach((card, sheet) -> models.put(sheet, ""));
        Map<Scene, List<Tile>> byScene = new LinkedHashMap<>();
        List<Sheet> all = sheets.inReadingOrder(project);
        projects.scenes(project)
                .forEach(each -> byScene.put(
                        each,
                        all.stream()
                                .filter(sheet -> sheet.scene().equals(each.id()))
                                .map(sheet -> new Tile(
                                        sheet.id(),
                                        sheet.title(),
                                        progress.get(sheet.id()),
                                        models.containsKey(sheet.id())))
                                .toList()));
        byScene.values().removeIf(List::isEmpty);
        model.addAttribute("byScene", byScene);
        model.addAttribute(
                "sources",
                byScene.values().stream()
                        .flatMap(List::stream)
                        .filter(tile -> tile.progress().filledRegions() > 0)
                        .sorted((a, b) -> Boolean.compare(b.isModel(), a.isModel()))
                        .toList());
        model.addAttribute("scene", scene.orElse(null));
        list(project, model);
        return "carry/runs";
    }

    @PostMapping
    String begin(
            @PathVariable UUID project,
            @RequestParam(defaultValue = "") List<UUID> source,
            @RequestParam(defaultValue = "") List<UUID> target,
            @RequestParam(defaultValue = "false") boolean chained,
            @AuthenticationPrincipal SignedIn person) {
        UUID run = runs.begin(project, person.id(), new CarryRuns.Order(source, target, chained));
        background.begin(CarryRunning.NAME, run);
        return "redirect:/projects/" + project + "/carry/" + run;
    }

    /** The list of runs, by itself, for as long as one is under way. */
    @GetMapping("/runs")
    String list(@PathVariable UUID project, Model model) {
        List<CarryRuns.Shown> all = runs.of(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("runs", all);
        model.addAttribute("isBusy", all.stream().anyMatch(run -> run.state() == StoredRun.State.RUNNING));
        return "carry/runs :: runs";
    }

    @GetMapping("/{run}")
    String run(
            @PathVariable UUID project, @PathVariable UUID run, @AuthenticationPrincipal SignedIn person, Model model) {
        progress(project, run, person, model);
        return "carry/run";
    }

    /** How far it is, by itself. */
    @GetMapping("/{run}/progress")
    String progress(
            @PathVariable UUID project, @PathVariable UUID run, @AuthenticationPrincipal SignedIn person, Model model) {
        CarryRuns.Shown shown = runs.get(project, run);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("run", shown);
        model.addAttribute("isMine", shown.authorId().equals(person.id()));
        return "carry/run :: progress";
    }

    @PostMapping("/{run}/pause")
    String pause(@PathVariable UUID project, @PathVariable UUID run) {
        runs.pause(project, run);
        return "redirect:/projects/{project}/carry/{run}";
    }

    @PostMapping("/{run}/go-on")
    String goOn(@PathVariable UUID project, @PathVariable UUID run) {
        runs.goOn(project, run);
        background.begin(CarryRunning.NAME, run);
        return "redirect:/projects/{project}/carry/{run}";
    }

    @PostMapping("/{run}/cancel")
    String cancel(@PathVariable UUID project, @PathVariable UUID run) {
        runs.cancel(project, run);
        return "redirect:/projects/{project}/carry/{run}";
    }

    /** Takes back what was laid as sure. @param sheet the only one that is meant, by its place in the run; left out: all */
    @PostMapping("/{run}/take-back")
    String takeBack(
            @PathVariable UUID project,
            @PathVariable UUID run,
            @RequestParam Optional<Integer> sheet,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        int taken = 0;
        int refused = 0;
        for (StoredRunSheet laid : runs.laid(project, run, sheet)) {
            if (takeBack(laid, person.id())) {
                runs.takenBack(laid.key());
                taken++;
            } else {
                refused++;
            }
        }
        String words = taken == 1 ? "Taken back on one sheet." : "Taken back on " + taken + " sheets.";
        told.addFlashAttribute(
                "said",
                refused == 0 ? words : words + " Not on " + refused + ": only who began the run can take it back.");
        return "redirect:/projects/{project}/carry/{run}";
    }

    /** What somebody changed since stays as it is. */
    private boolean takeBack(StoredRunSheet laid, UUID person) {
        boolean isTaken = true;
        for (int i = laid.changes().size() - 1; i >= 0; i--) {
            ChangeRequest.Undo undo =
                    new ChangeRequest.Undo(UUID.randomUUID(), laid.changes().get(i));
            isTaken &= !(changes.make(laid.sheetId(), person, undo) instanceof ChangeOutcome.Refused);
        }
        return isTaken;
    }
}
