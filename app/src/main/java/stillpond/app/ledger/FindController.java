package stillpond.app.ledger;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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
import stillpond.app.project.Projects;
import stillpond.app.sheet.Replacing;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.WornSwatches;
import stillpond.core.ledger.NearSwatches;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/** Where a swatch is worn, over the whole project and with pictures; and replacing it there. */
@Controller
@RequestMapping("/projects/{project}/find")
class FindController {

    private static final double MOST_APART = 20;

    private final Projects projects;
    private final Palettes palettes;
    private final WornSwatches worn;
    private final Sheets sheets;
    private final Replacing replacing;

    FindController(Projects projects, Palettes palettes, WornSwatches worn, Sheets sheets, Replacing replacing) {
        this.projects = projects;
        this.palettes = palettes;
        this.worn = worn;
        this.sheets = sheets;
        this.replacing = replacing;
    }

    /**
     * @param within how far other colours may be from that of the swatch and still be meant, as a CIEDE2000 difference
     * @param by what might be worn instead: the pictures show it
     */
    @GetMapping
    String find(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> swatch,
            @RequestParam(defaultValue = "0") double within,
            @RequestParam Optional<UUID> by,
            Model model) {
        if (!(within >= 0 && within <= MOST_APART)) {
            throw new Refusal("Colours are found up to a difference of 20.");
        }
        Palette palette = palettes.of(project);
        List<UUID> meant = swatch.filter(palette::has)
                .map(each -> NearSwatches.of(palette, each, within))
                .orElse(List.of());
        List<CardView> cards = CardView.of(palette);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("cards", cards);
        model.addAttribute("swatch", swatch.orElse(null));
        model.addAttribute("within", within);
        model.addAttribute(
                "found",
                meant.stream()
                        .flatMap(id -> cards.stream()
                                .flatMap(card -> card.swatches().stream())
                                .filter(each -> each.id().equals(id)))
                        .toList());
        model.addAttribute("by", by.filter(palette::has).orElse(null));
        model.addAttribute("tried", tried(palette, meant, by));
        model.addAttribute("lit", meant.stream().map(UUID::toString).collect(Collectors.joining(",")));
        model.addAttribute("sheets", meant.isEmpty() ? List.of() : worn.where(meant));
        return "ledger/find";
    }

    /** How small pictures are asked for that show another colour instead of some swatches; empty for as they are. */
    private static String tried(Palette palette, List<UUID> meant, Optional<UUID> by) {
        return by.flatMap(palette::colourOf)
                .map(colour -> meant.stream()
                        .map(each -> "&try=" + each + "%23" + colour.hex().substring(1))
                        .collect(Collectors.joining()))
                .orElse("");
    }

    /**
     * @param swatches what is worn now; it is one change, however many sheets it is about
     * @param limited whether only {@code sheet}s are meant, and not all of the project
     */
    @PostMapping("/replace")
    String replace(
            @PathVariable UUID project,
            @RequestParam List<UUID> swatches,
            @RequestParam UUID by,
            @RequestParam(defaultValue = "false") boolean limited,
            @RequestParam(defaultValue = "") Set<UUID> sheet,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        Set<UUID> others = new HashSet<>(swatches);
        others.remove(by);
        List<Sheet> scope = sheets.inProject(project).stream()
                .filter(each -> !limited || sheet.contains(each.id()))
                .toList();
        long regions =
                replacing.replace(project, scope, person.id(), others, by).regions();
        told.addFlashAttribute("said", "Replaced in " + regions + (regions == 1 ? " region." : " regions."));
        return "redirect:/projects/" + project + "/find?swatch=" + by;
    }
}
