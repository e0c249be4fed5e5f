package stillpond.app.stage;

import java.util.List;
import java.util.Map;
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
import stillpond.app.history.Steps;
import stillpond.app.page.TakenBack;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.SmallPicture;
import stillpond.app.sheet.WornSwatches;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Reaching;
import stillpond.core.palette.Staging;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** A light, a wardrobe or another colour for some sheets of a book, as from one on; with pictures before it is taken. */
@Controller
@RequestMapping("/projects/{project}/reach")
class ReachController {

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final WornSwatches worn;
    private final Steps steps;

    ReachController(
            Projects projects, Palettes palettes, Stagings stagings, Sheets sheets, WornSwatches worn, Steps steps) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.worn = worn;
        this.steps = steps;
    }

    /** @param words how much of it is worn there; empty if nothing is yet */
    record SheetView(UUID id, UUID scene, String title, String picture, String words) {}

    /** @param change see {@link ReachAsked}, as {@code colour} and {@code name} */
    @GetMapping
    String reach(
            @PathVariable UUID project,
            @RequestParam(defaultValue = "") String change,
            @RequestParam(defaultValue = "") String colour,
            @RequestParam(defaultValue = "") String name,
            Model model) {
        Palette palette = palettes.of(project);
        Staging staging = stagings.of(project);
        Optional<ReachAsked.Meant> meant = new ReachAsked(change, colour, name).meant(palette, staging);
        List<Sheet> all = sheets.inReadingOrder(project);
        Map<UUID, String> words = meant.map(this::wornWords).orElse(Map.of());
        model.addAttribute("project", projects.get(project));
        model.addAttribute("scenes", titles(project));
        model.addAttribute(
                "cards",
                CardView.of(palette).stream().filter(card -> !card.isNeutral()).toList());
        model.addAttribute("staging", staging);
        model.addAttribute("change", change);
        model.addAttribute("name", name);
        model.addAttribute("meant", meant.orElse(null));
        model.addAttribute(
                "colour",
                meant.map(ReachAsked.Meant::reaching)
                        .filter(Reaching.Colouring.class::isInstance)
                        .map(each -> ((Reaching.Colouring) each).colour().hex())
                        .orElse(null));
        model.addAttribute(
                "sheets",
                all.stream()
                        .map(sheet -> new SheetView(
                                sheet.id(),
                                sheet.scene(),
                                sheet.title(),
                                SmallPicture.of(sheet).address()
                                        + meant.map(each -> ReachAsked.preview(each.reaching(), sheet, staging))
                                                .orElse(""),
                                words.getOrDefault(sheet.id(), "")))
                        .toList());
        return "stage/reach";
    }

    private Map<UUID, String> titles(UUID project) {
        return projects.scenes(project).stream().collect(Collectors.toMap(Scene::id, Scene::title));
    }

    /** By sheet: how much of it wears what the change is about. */
    private Map<UUID, String> wornWords(ReachAsked.Meant meant) {
        List<UUID> swatches = meant.swatch()
                .map(Swatch::id)
                .map(List::of)
                .or(() -> meant.card()
                        .map(card -> card.swatches().stream().map(Swatch::id).toList()))
                .orElse(List.of());
        return worn.where(swatches).stream()
                .collect(Collectors.toMap(WornSwatches.Worn::sheet, WornSwatches.Worn::words));
    }

    /** It is one change, however many sheets it reaches. */
    @PostMapping
    String take(
            @PathVariable UUID project,
            @RequestParam String change,
            @RequestParam(defaultValue = "") String colour,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") Set<UUID> sheet,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        ReachAsked.Meant meant = new ReachAsked(change, colour, name)
                .meant(palettes.of(project), stagings.of(project))
                .orElseThrow(() -> new Refusal("Choose first what is to be another."));
        List<Reaching.Place> places = sheets.inReadingOrder(project).stream()
                .filter(each -> sheet.contains(each.id()))
                .map(each -> new Reaching.Place(each.scene(), each.id()))
                .toList();
        if (places.isEmpty()) {
            throw new Refusal("Tick the sheets that it reaches.");
        }
        if (meant.reaching() instanceof Reaching.Colouring
                && meant.card().map(Card::locked).orElse(false)) {
            projects.require(project, person.id(), Right.CHANGE_LOCKED_CARDS);
        }
        String reached = places.size() == 1 ? "1 sheet" : places.size() + " sheets";
        stagings.change(
                project,
                person.id(),
                "Changed " + meant.words() + " on " + reached,
                staging -> meant.reaching().on(staging, places));
        told.addFlashAttribute("said", "Taken on " + reached + ". It can be taken back below.");
        told.addAttribute("change", change);
        told.addAttribute("colour", colour);
        return "redirect:/projects/{project}/reach";
    }

    @PostMapping("/take-back")
    String takeBack(@PathVariable UUID project, @AuthenticationPrincipal SignedIn person, RedirectAttributes told) {
        TakenBack.tell(told, () -> steps.undoNext(project, person.id()));
        return "redirect:/projects/{project}/reach";
    }
}
