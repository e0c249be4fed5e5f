package stillpond.app.card;

import java.time.Instant;
import java.util.ArrayList;
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
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;
import stillpond.app.history.History;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** The history of a card: who changed what, when and why; each state beside that of now, and brought back. */
@Controller
@RequestMapping("/projects/{project}/cards/{card}/history")
class HistoryController {

    private final Projects projects;
    private final Accounts accounts;
    private final Palettes palettes;
    private final History changes;
    private final Sheets sheets;
    private final ModelSheets modelSheets;

    HistoryController(
            Projects projects,
            Accounts accounts,
            Palettes palettes,
            History changes,
            Sheets sheets,
            ModelSheets modelSheets) {
        this.projects = projects;
        this.accounts = accounts;
        this.palettes = palettes;
        this.changes = changes;
        this.sheets = sheets;
        this.modelSheets = modelSheets;
    }

    /** A state of the card, and the change that led to it. @param id of the change; the card's own id for the state before all of them */
    record State(
            UUID id,
            Instant since,
            String who,
            String words,
            String reason,
            boolean isUndone,
            boolean isOwn,
            Card card) {}

    /** A part then and now; null where it was not there. */
    record Part(String name, String then, String now) {
        public boolean isSame() {
            return then != null && then.equals(now);
        }
    }

    /** @param state the state to be compared with now; left out: none */
    @GetMapping
    String history(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @RequestParam Optional<UUID> state,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Palette palette = palettes.of(project);
        Card present = palette.card(card).orElseThrow();
        Palettes.CardHistory history = palettes.history(project, present.id());
        List<State> states = states(history, present, person);
        Optional<State> compared = states.stream()
                .filter(each -> state.filter(each.id()::equals).isPresent())
                .findFirst();
        model.addAttribute("project", projects.get(project));
        model.addAttribute("card", present);
        model.addAttribute("states", states);
        model.addAttribute("isWhole", history.isWhole());
        model.addAttribute("compared", compared.orElse(null));
        model.addAttribute(
                "mayEdit", !present.locked() || projects.may(project, person.id(), Right.CHANGE_LOCKED_CARDS));
        compared.ifPresent(each -> compare(project, each, palette, present, model));
        return "card/history";
    }

    private List<State> states(Palettes.CardHistory history, Card present, SignedIn person) {
        List<Palettes.CardChange> found = history.changes();
        Map<UUID, String> names = accounts.names(
                found.stream().map(change -> change.made().author()).distinct().toList());
        List<State> states = new ArrayList<>();
        for (Palettes.CardChange change : found) {
            change.after()
                    .ifPresent(card -> states.add(new State(
                            change.made().id(),
                            change.made().at(),
                            names.get(change.made().author()),
                            change.made().words(),
                            change.made().reason(),
                            change.isUndone(),
                            change.made().author().equals(person.id()),
                            card)));
        }
        Card first =
                found.isEmpty() ? present : found.get(found.size() - 1).before().orElse(null);
        if (first != null) {
            states.add(new State(
                    first.id(), null, "", history.isWhole() ? "As it began" : "Before that", "", false, false, first));
        }
        return states;
    }

    private void compare(UUID project, State state, Palette palette, Card present, Model model) {
        Optional<Sheet> judged = modelSheets.of(present.id(), sheets.inProject(project));
        model.addAttribute("model", judged.orElse(null));
        try {
            Palette then = palette.after(new PaletteEdit.Restore(state.card()));
            List<Part> parts = new ArrayList<>();
            List<String> tried = new ArrayList<>();
            for (Swatch swatch : then.card(present.id()).orElseThrow().swatches()) {
                boolean wasThere = state.card().swatches().stream()
                        .anyMatch(each -> each.id().equals(swatch.id()));
                String colour = then.colourOf(swatch.id()).orElseThrow().hex();
                parts.add(new Part(
                        swatch.name(),
                        wasThere ? colour : null,
                        palette.colourOf(swatch.id()).map(Srgb::hex).orElse(null)));
                tried.add(swatch.id() + colour);
            }
            model.addAttribute("parts", parts);
            model.addAttribute("tried", tried);
        } catch (Refusal refusal) {
            model.addAttribute("refusal", refusal.getMessage());
        }
    }

    @PostMapping("/{state}/bring-back")
    String bringBack(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @PathVariable UUID state,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        Card present = palettes.of(project).card(card).orElseThrow();
        Card former = states(palettes.history(project, present.id()), present, person).stream()
                .filter(each -> each.id().equals(state))
                .findFirst()
                .orElseThrow()
                .card();
        palettes.change(project, person.id(), List.of(new PaletteEdit.Restore(former)), reason.strip());
        told.addFlashAttribute("said", "Brought back, on every sheet. It can be taken back on the card.");
        return "redirect:/projects/{project}/cards/{card}/history";
    }

    @PostMapping("/{state}/why")
    String explain(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @PathVariable UUID state,
            @RequestParam String reason,
            @AuthenticationPrincipal SignedIn person) {
        changes.explain(project, state, person.id(), reason);
        return "redirect:/projects/{project}/cards/{card}/history";
    }
}
