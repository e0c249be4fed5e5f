package stillpond.app.card;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.account.SignedIn;
import stillpond.app.page.Downloads;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.FileTitle;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;

/** The page of a card, and cards as files. */
@Controller
class CardController {

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final Exchange exchange;
    private final ModelSheets modelSheets;
    private final PrintConditions printConditions;
    private final Proposals proposals;

    CardController(
            Projects projects,
            Palettes palettes,
            Stagings stagings,
            Sheets sheets,
            Exchange exchange,
            ModelSheets modelSheets,
            PrintConditions printConditions,
            Proposals proposals) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.exchange = exchange;
        this.modelSheets = modelSheets;
        this.printConditions = printConditions;
        this.proposals = proposals;
    }

    @GetMapping("/projects/{project}/cards/{card}")
    String card(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Palette palette = palettes.of(project);
        List<Sheet> all = sheets.inProject(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("card", CardView.of(palette.card(card).orElseThrow(), palette));
        model.addAttribute("cards", CardView.of(palette));
        model.addAttribute("isLead", projects.may(project, person.id(), Right.CHANGE_LOCKED_CARDS));
        model.addAttribute(
                "wardrobes",
                stagings.of(project).wardrobes(card).stream()
                        .map(wardrobe -> WardrobeView.of(wardrobe, palette))
                        .toList());
        model.addAttribute("sheets", all);
        model.addAttribute("model", modelSheets.of(card, all).orElse(null));
        return "card/card";
    }

    @PostMapping("/projects/{project}/print-condition")
    String choosePrintCondition(
            @PathVariable UUID project, @AuthenticationPrincipal SignedIn person, @RequestParam MultipartFile file)
            throws IOException {
        projects.require(project, person.id(), Right.CHOOSE_PRINT_CONDITION);
        printConditions.choose(project, FileTitle.of(String.valueOf(file.getOriginalFilename())), file.getBytes());
        return "redirect:/projects/" + project + "/cards";
    }

    /** All cards, and what goes for all of them. */
    @GetMapping("/projects/{project}/cards")
    String cards(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, Model model) {
        model.addAttribute("project", projects.get(project));
        model.addAttribute("cards", CardView.of(palettes.of(project)));
        model.addAttribute("printCondition", printConditions.titleOf(project));
        model.addAttribute("mayChoosePress", projects.may(project, person.id(), Right.CHOOSE_PRINT_CONDITION));
        model.addAttribute("proposals", proposals.open(project));
        return "card/cards";
    }

    @PostMapping("/projects/{project}/cards")
    String add(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, @RequestParam String name) {
        Card card = new Card(UUID.randomUUID(), name.strip(), "", List.of());
        palettes.change(project, person.id(), List.of(new PaletteEdit.AddCard(card)));
        return "redirect:/projects/" + project + "/cards/" + card.id();
    }

    @PostMapping("/projects/{project}/cards/{card}/model-sheet")
    String chooseModelSheet(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID sheet) {
        sheets.get(project, sheet);
        if (palettes.of(project).card(card).orElseThrow().locked()) {
            projects.require(project, person.id(), Right.CHANGE_LOCKED_CARDS);
        }
        palettes.judge(project, card, sheet);
        return "redirect:/projects/" + project + "/cards/" + card;
    }

    @GetMapping("/projects/{project}/cards/{card}/export/{form}")
    ResponseEntity<byte[]> export(@PathVariable UUID project, @PathVariable UUID card, @PathVariable CardForm form) {
        Palette palette = palettes.of(project);
        Card present = palette.card(card).orElseThrow();
        return Downloads.file(present.name(), form.ending(), form.type()).body(form.write(List.of(present), palette));
    }

    /** What a file would bring; nothing is changed. */
    @PostMapping("/projects/{project}/cards/plan")
    @ResponseBody
    Exchange.Plan plan(@PathVariable UUID project, @RequestParam MultipartFile file) throws IOException {
        return exchange.plan(project, String.valueOf(file.getOriginalFilename()), file.getBytes());
    }

    @PostMapping("/projects/{project}/cards/take")
    @ResponseBody
    PaletteCalls.Done take(
            @PathVariable UUID project, @AuthenticationPrincipal SignedIn person, @RequestParam MultipartFile file)
            throws IOException {
        return new PaletteCalls.Done(
                exchange.take(project, person.id(), String.valueOf(file.getOriginalFilename()), file.getBytes())
                        .words());
    }
}
