package stillpond.app.card;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
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
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** What colourists ask the lead to change, before and after on every sheet, and the lead's answers. */
@Controller
@RequestMapping("/projects/{project}/proposals")
class ProposalController {

    private static final String BACK = "redirect:/projects/{project}/proposals";

    private final Projects projects;
    private final Accounts accounts;
    private final Palettes palettes;
    private final Proposals proposals;
    private final CardEdits edits;

    ProposalController(Projects projects, Accounts accounts, Palettes palettes, Proposals proposals, CardEdits edits) {
        this.projects = projects;
        this.accounts = accounts;
        this.palettes = palettes;
        this.proposals = proposals;
        this.edits = edits;
    }

    /** A swatch that would change. @param before null if it is new, as {@code after} if it would go */
    record Swap(String name, String before, String after) {}

    /** @param refusal why it cannot be made any more, or null @param tried what would change, for pictures of sheets */
    record ProposalView(
            Proposals.Proposal proposal,
            String author,
            String answeredBy,
            List<Swap> swaps,
            CardEdits.Outlook outlook,
            List<String> tried,
            String refusal) {}

    @GetMapping
    String proposals(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, Model model) {
        List<Proposals.Proposal> all = proposals.of(project);
        Map<UUID, String> names = accounts.names(all.stream()
                .flatMap(
                        each -> Stream.of(each.author(), each.answeredBy() == null ? each.author() : each.answeredBy()))
                .distinct()
                .toList());
        Palette palette = palettes.of(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("isLead", projects.may(project, person.id(), Right.ANSWER_PROPOSALS));
        model.addAttribute(
                "proposals",
                all.stream().map(each -> view(project, each, names, palette)).toList());
        return "card/proposals";
    }

    private ProposalView view(UUID project, Proposals.Proposal proposal, Map<UUID, String> names, Palette palette) {
        String author = names.get(proposal.author());
        String answeredBy = proposal.answeredBy() == null ? null : names.get(proposal.answeredBy());
        if (proposal.state() != Proposals.State.OPEN) {
            return new ProposalView(proposal, author, answeredBy, List.of(), null, List.of(), null);
        }
        try {
            CardEdits.Outlook outlook = edits.outlook(project, proposal.edits());
            return new ProposalView(
                    proposal, author, answeredBy, swaps(outlook, palette), outlook, tried(outlook), null);
        } catch (Refusal refusal) {
            return new ProposalView(proposal, author, answeredBy, List.of(), null, List.of(), refusal.getMessage());
        }
    }

    private static List<Swap> swaps(CardEdits.Outlook outlook, Palette palette) {
        return outlook.colours().entrySet().stream()
                .map(each -> new Swap(
                        palette.swatch(each.getKey()).map(Swatch::name).orElse("a new colour"),
                        palette.colourOf(each.getKey()).map(Srgb::hex).orElse(null),
                        each.getValue().equals("none") ? null : each.getValue()))
                .toList();
    }

    private static List<String> tried(CardEdits.Outlook outlook) {
        return outlook.colours().entrySet().stream()
                .filter(each -> !each.getValue().equals("none"))
                .map(each -> each.getKey() + each.getValue())
                .toList();
    }

    @PostMapping("/{proposal}/take")
    String take(
            @PathVariable UUID project,
            @PathVariable UUID proposal,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        projects.require(project, person.id(), Right.ANSWER_PROPOSALS);
        try {
            proposals.take(project, proposal, person.id());
            told.addFlashAttribute("said", "Taken, on every sheet.");
        } catch (Refusal refusal) {
            told.addFlashAttribute("said", refusal.getMessage());
        }
        return BACK;
    }

    @PostMapping("/{proposal}/decline")
    String decline(
            @PathVariable UUID project,
            @PathVariable UUID proposal,
            @RequestParam(defaultValue = "") String answer,
            @AuthenticationPrincipal SignedIn person) {
        projects.require(project, person.id(), Right.ANSWER_PROPOSALS);
        proposals.answer(project, proposal, person.id(), Proposals.State.DECLINED, answer);
        return BACK;
    }

    @PostMapping("/{proposal}/withdraw")
    String withdraw(@PathVariable UUID project, @PathVariable UUID proposal, @AuthenticationPrincipal SignedIn person) {
        boolean isOwn = proposals.of(project).stream()
                .anyMatch(each -> each.id().equals(proposal) && each.author().equals(person.id()));
        if (!isOwn) {
            throw new Refusal("Only who made a proposal withdraws it.");
        }
        proposals.answer(project, proposal, person.id(), Proposals.State.WITHDRAWN, "");
        return BACK;
    }
}
