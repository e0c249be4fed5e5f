package stillpond.app.compare;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.Accounts;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Moments;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** A sheet before and after: whatever changed between two moments, be it fills, cards, lights or wardrobes. */
@Controller
@RequestMapping("/projects/{project}/compare/moments")
class MomentsController {

    private static final int MOST = 200;

    private final Projects projects;
    private final Accounts accounts;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final Moments moments;

    MomentsController(
            Projects projects,
            Accounts accounts,
            Palettes palettes,
            Stagings stagings,
            Sheets sheets,
            Moments moments) {
        this.projects = projects;
        this.accounts = accounts;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.moments = moments;
    }

    /** Something that was done, at a moment. */
    record Moment(Instant at, String who, String words) {}

    /** @param from just before it @param to just after it; left out: now */
    @GetMapping
    String moments(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> sheet,
            @RequestParam Optional<Instant> from,
            @RequestParam Optional<Instant> to,
            Model model) {
        List<Sheet> all = sheets.inProject(project);
        Optional<Sheet> present =
                sheet.map(id -> sheets.get(project, id)).or(() -> all.stream().findFirst());
        List<Moment> list = present.map(each -> list(project, each)).orElse(List.of());
        Optional<Instant> before = from.or(() -> list.stream().findFirst().map(Moment::at));
        model.addAttribute("project", projects.get(project));
        model.addAttribute("sheets", all);
        model.addAttribute("sheet", present.orElse(null));
        model.addAttribute("moments", list);
        model.addAttribute("from", before.orElse(null));
        model.addAttribute("to", to.orElse(null));
        // The state before a change is that of the moment before it.
        model.addAttribute("before", before.map(each -> each.minusMillis(1)).orElse(null));
        return "compare/moments";
    }

    private List<Moment> list(UUID project, Sheet sheet) {
        List<Moments.Step> steps = moments.steps(sheet.id(), MOST);
        List<Palettes.Done> done = new ArrayList<>(palettes.done(project, MOST));
        done.addAll(stagings.done(project, MOST));
        List<UUID> people = new ArrayList<>();
        steps.forEach(step -> people.add(step.author()));
        done.forEach(each -> people.add(each.author()));
        Map<UUID, String> names = accounts.names(people.stream().distinct().toList());
        List<Moment> list = new ArrayList<>();
        steps.forEach(step -> list.add(new Moment(step.at(), names.get(step.author()), words(step))));
        done.forEach(each -> list.add(new Moment(each.at(), names.get(each.author()), each.words())));
        list.sort(Comparator.comparing(Moment::at).reversed());
        return list.stream().limit(MOST).toList();
    }

    private static String words(Moments.Step step) {
        String cells = step.cells() == 1 ? "1 cell" : step.cells() + " cells";
        return switch (step.kind()) {
            case "FILL" -> "Filled " + cells;
            case "DAM" -> "Dammed or opened gaps";
            case "RECUT" -> "Analysed again";
            case "UNDO" -> "Took back, " + cells;
            default -> "Did again, " + cells;
        };
    }
}
