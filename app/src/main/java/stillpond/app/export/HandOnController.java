package stillpond.app.export;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.card.CardForm;
import stillpond.app.card.PrintConditions;
import stillpond.app.export.WornPalettes.Scope;
import stillpond.app.page.Downloads;
import stillpond.app.project.Projects;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.Sheets;
import stillpond.core.colour.Srgb;
import stillpond.core.cut.CutSettings;
import stillpond.core.fill.Fill;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Printed;
import stillpond.core.handon.WornPalette;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.plate.Inking;
import stillpond.core.refusal.Refusal;

/** The page on which a sheet is handed on. */
@Controller
@RequestMapping("/projects/{project}/sheets/{sheet}/hand-on")
class HandOnController {

    private final Sheets sheets;
    private final Projects projects;
    private final SheetShapes shapes;
    private final WornPalettes palettes;
    private final SheetColours colours;
    private final PageFrames frames;
    private final AskedLight lights;
    private final PrintConditions conditions;
    private final LaidReferences references;

    HandOnController(
            Sheets sheets,
            Projects projects,
            SheetShapes shapes,
            WornPalettes palettes,
            SheetColours colours,
            PageFrames frames,
            AskedLight lights,
            PrintConditions conditions,
            LaidReferences references) {
        this.sheets = sheets;
        this.projects = projects;
        this.shapes = shapes;
        this.palettes = palettes;
        this.colours = colours;
        this.frames = frames;
        this.lights = lights;
        this.conditions = conditions;
        this.references = references;
    }

    /** A colour that is worn. @param share in percent, in words; empty for what only ink and shadows wear */
    record Stone(String name, String colour, String share) {}

    /** A swatch that takes more ink than most presses do. */
    record Heavy(String name, long percent) {}

    /** @param cut the name of a group, or a fill, that is to be cut; left out: everything */
    @GetMapping
    String page(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "") String cut,
            @RequestParam(defaultValue = "COLOUR") Arrangement cutBy,
            Model model) {
        Sheet present = sheets.get(project, sheet);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("scene", projects.scene(project, present.scene()));
        model.addAttribute("hasFrame", frames.of(sheet).isPresent());
        model.addAttribute("hasReference", references.liesOn(present));
        model.addAttribute("light", lights.name(present, "own").orElse(null));
        model.addAttribute("inking", Inking.USUAL);
        model.addAttribute("heavy", heavy(present));
        palette(present, Scope.SHEET, model);
        outline(present, Arrangement.COLOUR, model);
        model.addAttribute("cutting", CutSettings.USUAL);
        cuts(present, cutBy, cut, model);
        return "export/hand-on";
    }

    /** What can be cut. */
    @GetMapping("/cuts")
    String cuts(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Arrangement cutBy, Model model) {
        Sheet present = sheets.get(project, sheet);
        model.addAttribute("sheet", present);
        cuts(present, cutBy, "", model);
        return "export/hand-on :: cuts";
    }

    private void cuts(Sheet sheet, Arrangement by, String chosen, Model model) {
        Map<String, LayerOutline.Group> groups = new LinkedHashMap<>();
        shapes.outline(sheet, by)
                .forEach(layer -> layer.groups().forEach(group -> groups.putIfAbsent(group.name(), group)));
        model.addAttribute("cutBy", by);
        model.addAttribute("cutGroups", groups.values());
        model.addAttribute("chosenCut", groups.containsKey(chosen) ? chosen : nameOf(sheet, chosen));
    }

    /** The group of a fill; empty if it is none. */
    private String nameOf(Sheet sheet, String fill) {
        Palette palette = colours.dressed(sheet);
        try {
            Fill chosen = Fill.ofText(fill);
            boolean isThere = !chosen.swatches().isEmpty() && palette.hasAll(chosen.swatches());
            return isThere ? FillNames.withCard(chosen, palette) : "";
        } catch (Refusal ofNoFill) {
            return "";
        }
    }

    /** What the shapes of a file will be. */
    @GetMapping("/shapes")
    String shapes(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Arrangement by, Model model) {
        outline(sheets.get(project, sheet), by, model);
        return "export/hand-on :: shapes";
    }

    @GetMapping("/palette")
    String palette(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Scope of, Model model) {
        palette(sheets.get(project, sheet), of, model);
        return "export/hand-on :: palette";
    }

    @GetMapping("/palette/{form}")
    ResponseEntity<byte[]> palette(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @PathVariable CardForm form,
            @RequestParam(defaultValue = "SHEET") Scope of) {
        Card card = palettes.settled(sheets.get(project, sheet), of);
        return Downloads.file(card.name(), form.ending(), form.type())
                .body(form.write(List.of(card), new Palette(List.of(card))));
    }

    @PostMapping("/card")
    String makeCard(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "SHEET") Scope of,
            @AuthenticationPrincipal SignedIn person) {
        UUID card = palettes.makeCard(sheets.get(project, sheet), of, person.id());
        return "redirect:/projects/" + project + "/cards/" + card;
    }

    private List<Heavy> heavy(Sheet sheet) {
        Palette shown = colours.dressed(sheet);
        return Printed.of(palettes.of(sheet, Scope.SHEET), shown, shown::colourOf, conditions.of(sheet.project()))
                .stream()
                .filter(each -> each.spot().isEmpty() && each.inkPercent() > Inking.USUAL.limitPercent())
                .map(each -> new Heavy(each.name(), each.inkPercent()))
                .toList();
    }

    private void outline(Sheet sheet, Arrangement by, Model model) {
        model.addAttribute("sheet", sheet);
        model.addAttribute("by", by);
        model.addAttribute("layers", shapes.outline(sheet, by));
    }

    private void palette(Sheet sheet, Scope scope, Model model) {
        Palette shown = colours.dressed(sheet);
        model.addAttribute("sheet", sheet);
        model.addAttribute("scope", scope);
        model.addAttribute(
                "stones",
                palettes.of(sheet, scope).worn().stream()
                        .map(worn -> stone(worn, shown))
                        .toList());
    }

    private static Stone stone(WornPalette.Worn worn, Palette shown) {
        long percent = Math.round(100 * worn.share());
        return new Stone(
                shown.swatch(worn.swatch()).map(Swatch::name).orElse(""),
                shown.colourOf(worn.swatch()).map(Srgb::hex).orElse("#ffffff"),
                worn.share() == 0 ? "" : percent == 0 ? "under 1 %" : percent + " %");
    }
}
