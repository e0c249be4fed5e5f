package stillpond.app.compare;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.app.history.Steps;
import stillpond.app.page.TakenBack;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** A sheet before and after: whatever changed between two moments, be it fills, cards, lights or wardrobes. */
@Controller
@RequestMapping("/projects/{project}/compare/moments")
class MomentsController {

    private static final int MOST = 200;

    private final Projects projects;
    private final Accounts accounts;
    private final Sheets sheets;
    private final History history;
    private final Steps steps;

    MomentsController(Projects projects, Accounts accounts, Sheets sheets, History history, Steps steps) {
        this.projects = projects;
        this.accounts = accounts;
        this.sheets = sheets;
        this.history = history;
        this.steps = steps;
    }

    /**
     * Something that was done, at a moment.
     *
     * @param isTakenBack whether it was, and not done again
     * @param canTakeBack whether it stands and is the reader's own
     */
    record Moment(UUID id, Instant at, String who, String words, boolean isTakenBack, boolean canTakeBack) {}

    /** @param from just before it @param to just after it; left out: now */
    @GetMapping
    String moments(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> sheet,
            @RequestParam Optional<Instant> from,
            @RequestParam Optional<Instant> to,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        List<Sheet> all = sheets.inProject(project);
        Optional<Sheet> present =
                sheet.map(id -> sheets.get(project, id)).or(() -> all.stream().findFirst());
        List<Moment> list =
                present.map(each -> list(project, person.id(), each)).orElse(List.of());
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

    private List<Moment> list(UUID project, UUID person, Sheet sheet) {
        List<Made> about = history.about(project, sheet.id(), MOST);
        Map<UUID, String> names =
                accounts.names(about.stream().map(Made::author).distinct().toList());
        Set<UUID> takenBack = history.takenBack(about.stream()
                .filter(made -> made.kind() == Made.Kind.CHANGE)
                .map(Made::id)
                .toList());
        return about.stream()
                .map(made -> {
                    boolean isStep = made.kind() != Made.Kind.CHANGE;
                    boolean isTakenBack = takenBack.contains(made.id());
                    boolean isOwn = made.author().equals(person);
                    return new Moment(
                            made.id(),
                            made.at(),
                            names.get(made.author()),
                            made.words(),
                            isTakenBack,
                            isOwn && !isStep && !isTakenBack);
                })
                .toList();
    }

    /** Takes back any change of one's own, whatever was done since; what was changed since is left alone. */
    @PostMapping("/{change}/take-back")
    String takeBack(
            @PathVariable UUID project,
            @PathVariable UUID change,
            @RequestParam UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        sheets.get(project, sheet);
        TakenBack.tell(told, () -> steps.undo(project, person.id(), change));
        return "redirect:/projects/" + project + "/compare/moments?sheet=" + sheet;
    }
}
