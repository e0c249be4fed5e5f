package stillpond.app.desk;

import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.OwnKeys;
import stillpond.app.account.SignedIn;
import stillpond.app.palette.CardView;
import stillpond.app.sheet.KeptFills;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;
import stillpond.app.shelf.ProjectView;
import stillpond.app.shelf.ProjectViews;
import stillpond.app.shelf.SheetTile;
import stillpond.core.colour.BlendMode;
import stillpond.core.palette.Staging;
import tools.jackson.databind.json.JsonMapper;

/** The page itself, with what the desk starts with; all else comes through {@link DeskCalls}. */
@Controller
class DeskController {

    private static final String DIGITS = "1234567890";

    private final ProjectViews projects;
    private final Sheets sheets;
    private final DeskStates states;
    private final SheetColours colours;
    private final ShoreCards shore;
    private final KeptFills kept;
    private final OwnKeys ownKeys;
    private final JsonMapper json;

    DeskController(
            ProjectViews projects,
            Sheets sheets,
            DeskStates states,
            SheetColours colours,
            ShoreCards shore,
            KeptFills kept,
            OwnKeys ownKeys,
            JsonMapper json) {
        this.ownKeys = ownKeys;
        this.projects = projects;
        this.sheets = sheets;
        this.states = states;
        this.colours = colours;
        this.shore = shore;
        this.kept = kept;
        this.json = json;
    }

    /** The sheets before and after one, in reading order, across scenes; null at the ends. */
    private record Beside(
            @Nullable SheetTile before, @Nullable SheetTile after) {

        static Beside of(List<SheetTile> all, UUID sheet) {
            int at = all.stream().map(SheetTile::id).toList().indexOf(sheet);
            return new Beside(at > 0 ? all.get(at - 1) : null, at >= 0 && at + 1 < all.size() ? all.get(at + 1) : null);
        }
    }

    @GetMapping("/projects/{project}/sheets/{sheet}")
    String desk(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Sheet present = sheets.get(project, sheet, layer);
        ProjectView view = projects.get(project);
        model.addAttribute("modes", BlendMode.values());
        model.addAttribute("project", view);
        model.addAttribute("sheet", present);
        model.addAttribute(
                "scene",
                view.scenes().stream()
                        .filter(scene -> scene.id().equals(present.scene()))
                        .findFirst()
                        .orElseThrow());
        Beside beside = Beside.of(view.sheets(), sheet);
        model.addAttribute("before", beside.before());
        model.addAttribute("after", beside.after());
        DeskState state = states.of(present, person.id());
        model.addAttribute("planes", state.planes());
        model.addAttribute(
                "light",
                state.palette().light() == 0
                        ? null
                        : state.palette().lights().get(state.palette().light()).name());
        // Inside a script element, no text may look like its end.
        model.addAttribute(
                "ownKeys", json.writeValueAsString(ownKeys.of(person.id())).replace("<", "\\u003c"));
        model.addAttribute("state", json.writeValueAsString(state).replace("<", "\\u003c"));
        lay(model, present, cards(present));
        return "desk/desk";
    }

    /** The cards on the shore alone, for a desk that is open while the palette changes. */
    @GetMapping("/projects/{project}/sheets/{sheet}/shore")
    String shore(@PathVariable UUID project, @PathVariable UUID sheet, Model model) {
        Sheet present = sheets.get(project, sheet);
        lay(model, present, cards(present));
        return "desk/shore :: cards";
    }

    /** Chooses the cards that lie on the shore of this sheet, in their order; answers with the shore as it is then. */
    @PostMapping("/projects/{project}/sheets/{sheet}/shore")
    String chooseCards(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Size(max = 1000, message = "Up to 1000 cards lie on a shore") List<UUID> cards,
            Model model) {
        Sheet present = sheets.get(project, sheet);
        List<CardView> all = cards(present);
        Set<UUID> known = all.stream().map(CardView::id).collect(Collectors.toSet());
        shore.choose(
                project,
                person.id(),
                sheet,
                cards.stream().filter(known::contains).distinct().toList());
        lay(model, present, all);
        return "desk/shore :: cards";
    }

    private List<CardView> cards(Sheet sheet) {
        return CardView.of(colours.dressed(sheet));
    }

    private void lay(Model model, Sheet sheet, List<CardView> all) {
        List<CardView> cards = shore.of(sheet.project(), sheet.id(), all);
        model.addAttribute("projectId", sheet.project());
        model.addAttribute("shore", cards);
        model.addAttribute("allCards", all);
        model.addAttribute("keys", keys(cards));
        model.addAttribute(
                "kept", kept.of(sheet.project()).stream().collect(Collectors.groupingBy(Staging.KeptFill::card)));
    }

    /** The digits, in the order in which they lie on the keyboard, go to the first ten swatches that are no neutrals. */
    private static Map<UUID, String> keys(List<CardView> cards) {
        Map<UUID, String> keys = new HashMap<>();
        cards.stream()
                .filter(card -> !card.isNeutral())
                .flatMap(card -> card.swatches().stream())
                .limit(DIGITS.length())
                .forEach(swatch -> keys.put(swatch.id(), DIGITS.substring(keys.size(), keys.size() + 1)));
        return keys;
    }
}
