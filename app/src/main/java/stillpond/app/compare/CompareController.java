package stillpond.app.compare;

import java.util.List;
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
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.core.ledger.PartsTable;
import stillpond.core.palette.Palette;

/** "Is it the same everywhere?" */
@Controller
@RequestMapping("/projects/{project}/compare")
class CompareController {

    /** So many sheets are compared at once. */
    private static final int SIZE = 40;

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Comparing comparing;

    CompareController(Projects projects, Palettes palettes, Stagings stagings, Comparing comparing) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
        this.comparing = comparing;
    }

    /** @param only the parts that stand out @param from the place of the first sheet in reading order, from 0 */
    @GetMapping
    String parts(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> card,
            @RequestParam Optional<UUID> scene,
            @RequestParam(defaultValue = "") String light,
            @RequestParam(defaultValue = "false") boolean drawn,
            @RequestParam(defaultValue = "false") boolean only,
            @RequestParam(defaultValue = "0") int from,
            Model model) {
        Comparing.Filter filter = new Comparing.Filter(card, scene, light, drawn);
        List<Sheet> all = comparing.sheets(project, filter);
        int first = Math.max(0, Math.min(from, all.size()));
        List<Sheet> sheets = all.subList(first, Math.min(all.size(), first + SIZE));
        PartsTable table = comparing.table(project, sheets, filter);
        frame(project, filter, model);
        model.addAttribute("only", only);
        model.addAttribute("from", first);
        model.addAttribute("size", SIZE);
        model.addAttribute("sheetCount", all.size());
        model.addAttribute("columns", comparing.columns(project, sheets, filter));
        model.addAttribute("view", PartsView.of(table, only));
        return "compare/parts";
    }

    /** Gives every region of a swatch that lies, as a stranger, among the parts of a card one of those parts; on each sheet it is one change. */
    @PostMapping("/replace")
    String replace(
            @PathVariable UUID project,
            @RequestParam UUID swatch,
            @RequestParam UUID among,
            @RequestParam UUID by,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        int regions = comparing.replaceStrangers(project, person.id(), new Comparing.Stranger(swatch, among), by);
        told.addFlashAttribute("said", regions == 1 ? "Replaced in 1 region." : "Replaced in " + regions + " regions.");
        return "redirect:/projects/{project}/compare?card=" + among;
    }

    /** Sheets at one size in reading order, with one part lit up in each if one is chosen. */
    @GetMapping("/sheets")
    String sheets(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> scene,
            @RequestParam(defaultValue = "") String light,
            @RequestParam(defaultValue = "false") boolean drawn,
            @RequestParam Optional<UUID> swatch,
            @RequestParam(defaultValue = "") List<UUID> sheet,
            Model model) {
        Comparing.Filter filter = new Comparing.Filter(Optional.empty(), scene, light, drawn);
        List<Sheet> all = comparing.sheets(project, filter);
        frame(project, filter, model);
        model.addAttribute("all", all);
        model.addAttribute(
                "sheets",
                sheet.isEmpty()
                        ? all
                        : all.stream().filter(each -> sheet.contains(each.id())).toList());
        model.addAttribute("chosen", sheet);
        model.addAttribute("swatch", swatch.orElse(null));
        return "compare/sheets";
    }

    private void frame(UUID project, Comparing.Filter filter, Model model) {
        Palette palette = palettes.of(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute(
                "cards",
                CardView.of(palette).stream().filter(card -> !card.isNeutral()).toList());
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("lights", stagings.of(project).lights());
        model.addAttribute("filter", filter);
    }
}
