package stillpond.app.compare;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
import stillpond.app.page.Downloads;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Project;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.ledger.ConsistencySheet;
import stillpond.core.ledger.PartsTable;
import stillpond.core.refusal.Refusal;

/** What to sign before the book is printed. */
@Controller
@RequestMapping("/projects/{project}/compare/consistency")
class ConsistencyController {

    private final Projects projects;
    private final Palettes palettes;
    private final Consistency consistency;

    ConsistencyController(Projects projects, Palettes palettes, Consistency consistency) {
        this.projects = projects;
        this.palettes = palettes;
        this.consistency = consistency;
    }

    /** @param from the place of the first sheet that the table shows, from 0 */
    @GetMapping
    String page(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> card,
            @RequestParam(defaultValue = "0") int from,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Consistency.Shown shown = consistency.of(project, card);
        model.addAttribute("project", projects.get(project));
        model.addAttribute(
                "cards",
                CardView.of(palettes.of(project)).stream()
                        .filter(each -> !each.isNeutral())
                        .toList());
        model.addAttribute("card", card.orElse(null));
        model.addAttribute("shown", shown);
        model.addAttribute("view", ConsistencyView.of(shown, from));
        model.addAttribute("maySign", projects.may(project, person.id(), Right.SIGN_CONSISTENCY));
        return "compare/consistency";
    }

    /** @param isMeant left out: the acceptance is taken back */
    @PostMapping("/accept")
    String accept(
            @PathVariable UUID project,
            @RequestParam UUID sheet,
            @RequestParam UUID swatch,
            @RequestParam PartsTable.Mark mark,
            @RequestParam(defaultValue = "") String why,
            @RequestParam(defaultValue = "false") boolean isMeant,
            @RequestParam Optional<UUID> card,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        ConsistencySheet.Key key = new ConsistencySheet.Key(sheet, swatch, mark);
        return told(project, card, told, () -> {
            if (isMeant) {
                consistency.accept(project, person.id(), key, why);
            } else {
                consistency.doubt(project, key);
            }
        });
    }

    @PostMapping("/sign")
    String sign(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> card,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return told(project, card, told, () -> consistency.sign(project, person.id(), card));
    }

    private static String told(UUID project, Optional<UUID> card, RedirectAttributes told, Runnable act) {
        try {
            act.run();
        } catch (Refusal refusal) {
            told.addFlashAttribute("said", refusal.getMessage());
        }
        return "redirect:/projects/" + project + "/compare/consistency"
                + card.map(each -> "?card=" + each).orElse("");
    }

    @GetMapping("/table.csv")
    ResponseEntity<byte[]> csv(@PathVariable UUID project, @RequestParam Optional<UUID> card) {
        return Downloads.file(name(project, card), ".csv", new MediaType("text", "csv"))
                .body(consistency.of(project, card).table().csv());
    }

    @GetMapping("/table.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID project, @RequestParam Optional<UUID> card) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ConsistencyPdf.write(name(project, card), consistency.of(project, card), out);
        return Downloads.file(name(project, card), ".pdf", MediaType.APPLICATION_PDF)
                .body(out.toByteArray());
    }

    private String name(UUID project, Optional<UUID> card) {
        Project present = projects.get(project);
        return present.title() + ", consistency"
                + card.flatMap(each -> palettes.of(project).card(each))
                        .map(each -> " of " + each.name())
                        .orElse("");
    }
}
