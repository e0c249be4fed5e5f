package stillpond.app.stage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.app.account.SignedIn;
import stillpond.app.history.Steps;
import stillpond.app.page.TakenBack;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.WornAt;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** The page of a scene: its light, its wardrobes, and who is on each sheet. */
@Controller
@RequestMapping("/projects/{project}/scenes/{scene}")
class SceneController {

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final SheetCast cast;
    private final SceneStaging sceneStaging;
    private final Steps steps;
    private final WornAt wornAt;

    SceneController(
            Projects projects,
            Palettes palettes,
            Stagings stagings,
            Sheets sheets,
            SheetCast cast,
            SceneStaging sceneStaging,
            Steps steps,
            WornAt wornAt) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.cast = cast;
        this.sceneStaging = sceneStaging;
        this.steps = steps;
        this.wornAt = wornAt;
    }

    @GetMapping
    String scene(@PathVariable UUID project, @PathVariable UUID scene, Model model) {
        model.addAttribute("project", projects.get(project));
        List<Sheet> inScene = inScene(project, scene);
        Map<UUID, List<UUID>> said = cast.said(inScene.stream().map(Sheet::id).toList());
        model.addAttribute(
                "stage",
                SceneStage.of(
                        projects.scene(project, scene),
                        inScene,
                        palettes.of(project),
                        stagings.of(project),
                        cast.inProject(project),
                        sheet -> said.getOrDefault(sheet, List.of())));
        return "stage/scene";
    }

    /** @param form see {@link StageForm} */
    @PostMapping
    String stage(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @RequestParam MultiValueMap<String, String> form,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        Scene present = projects.scene(project, scene);
        StageForm wanted = new StageForm(form);
        List<Sheet> inScene = inScene(project, scene);
        Map<UUID, List<UUID>> said = new HashMap<>();
        inScene.forEach(sheet -> said.put(sheet.id(), wanted.cast(sheet.id())));
        sceneStaging.stage(
                project,
                person.id(),
                "Staged " + present.title(),
                staging -> wanted.on(
                        staging, scene, inScene.stream().map(Sheet::id).toList()),
                said);
        told.addFlashAttribute("said", "Taken. It can be taken back below.");
        return "redirect:/projects/{project}/scenes/{scene}";
    }

    @PostMapping("/take-back")
    String takeBack(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        projects.scene(project, scene);
        TakenBack.tell(told, () -> steps.undoNext(project, person.id()));
        return "redirect:/projects/{project}/scenes/{scene}";
    }

    /** Whose colours are worn at a place of a sheet. @param name empty where nobody's are, and then there is no card */
    record Figure(Optional<UUID> card, String name) {}

    /** @param x see {@link WornAt}, and so {@code y} */
    @GetMapping("/sheets/{sheet}/figure")
    @ResponseBody
    Figure figure(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @PathVariable UUID sheet,
            @RequestParam double x,
            @RequestParam double y) {
        projects.scene(project, scene);
        Palette palette = palettes.of(project);
        return wornAt.swatches(sheets.get(project, sheet), x, y).stream()
                .flatMap(swatch -> palette.cardOf(swatch).stream())
                .filter(card -> card.kind() == Card.Kind.CAST)
                .findFirst()
                .map(card -> new Figure(Optional.of(card.id()), card.name()))
                .orElse(new Figure(Optional.empty(), ""));
    }

    private List<Sheet> inScene(UUID project, UUID scene) {
        return sheets.inProject(project).stream()
                .filter(sheet -> sheet.scene().equals(scene))
                .toList();
    }
}
