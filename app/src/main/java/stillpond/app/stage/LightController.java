package stillpond.app.stage;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.app.account.SignedIn;
import stillpond.app.history.Steps;
import stillpond.app.page.TakenBack;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.Sheets;
import stillpond.core.colour.BlendMode;
import stillpond.core.palette.Light;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Staging;
import stillpond.core.refusal.Refusal;

/** The page on which lights are made. */
@Controller
@RequestMapping("/projects/{project}/lights")
class LightController {

    private final Projects projects;
    private final Palettes palettes;
    private final Stagings stagings;
    private final Sheets sheets;
    private final SheetCast cast;
    private final Steps steps;

    LightController(
            Projects projects, Palettes palettes, Stagings stagings, Sheets sheets, SheetCast cast, Steps steps) {
        this.projects = projects;
        this.palettes = palettes;
        this.stagings = stagings;
        this.sheets = sheets;
        this.cast = cast;
        this.steps = steps;
    }

    /** @param light left out: the one of the scene, or else any @param scene whose sheets and cards are shown; left out: one that has the light, or else the first */
    @GetMapping
    String lights(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> light,
            @RequestParam Optional<UUID> scene,
            Model model) {
        Staging staging = stagings.of(project);
        List<Staging.NamedLight> lights = staging.lights();
        Scene shown = scene(project, scene, light, staging);
        Optional<Staging.NamedLight> present = light.or(() -> named(staging.lightOf(shown.id())))
                .flatMap(id ->
                        lights.stream().filter(each -> each.id().equals(id)).findFirst())
                .or(() -> light.isEmpty() ? lights.stream().findFirst() : Optional.empty());
        List<Sheet> inScene = sheets.inProject(project).stream()
                .filter(sheet -> sheet.scene().equals(shown.id()))
                .toList();
        model.addAttribute("project", projects.get(project));
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("scene", shown);
        model.addAttribute("lights", lights);
        model.addAttribute("light", present.orElse(null));
        model.addAttribute("sheets", inScene);
        model.addAttribute("cards", cardsOf(project, inScene));
        model.addAttribute("modes", BlendMode.values());
        model.addAttribute("isOfScene", present.map(Staging.NamedLight::id).equals(named(staging.lightOf(shown.id()))));
        return "stage/light";
    }

    private Scene scene(UUID project, Optional<UUID> wanted, Optional<UUID> light, Staging staging) {
        List<Scene> scenes = projects.scenes(project);
        return wanted.map(scene -> projects.scene(project, scene))
                .or(() -> scenes.stream()
                        .filter(scene -> light.isPresent()
                                && named(staging.lightOf(scene.id())).equals(light))
                        .findFirst())
                .or(() -> scenes.stream().findFirst())
                .orElseThrow(() -> new Refusal("A light is seen on a scene, and there is none yet."));
    }

    private static Optional<UUID> named(Staging.Choice choice) {
        return choice instanceof Staging.Choice.Named named ? Optional.of(named.id()) : Optional.empty();
    }

    /** The cards of whoever is on some sheets; all while nobody is. */
    private List<CardView> cardsOf(UUID project, List<Sheet> shown) {
        Map<UUID, List<UUID>> byCard = cast.inProject(project);
        List<UUID> present = shown.stream()
                .flatMap(sheet -> byCard.getOrDefault(sheet.id(), List.of()).stream())
                .distinct()
                .toList();
        return CardView.of(palettes.of(project)).stream()
                .filter(card -> !card.isNeutral() && (present.isEmpty() || present.contains(card.id())))
                .toList();
    }

    /** @param from a light to begin with; left out: one that changes nothing @param scene that gets it; left out: none does */
    @PostMapping
    String make(
            @PathVariable UUID project,
            @RequestParam String name,
            @RequestParam Optional<UUID> from,
            @RequestParam UUID scene,
            @RequestParam(defaultValue = "false") boolean use,
            @AuthenticationPrincipal SignedIn person) {
        projects.scene(project, scene);
        UUID id = UUID.randomUUID();
        stagings.change(project, person.id(), "Made the light " + name.strip(), staging -> {
            Light light =
                    from.flatMap(staging::light).map(each -> each.renamed(name)).orElseGet(() -> Light.named(name));
            Staging made = staging.with(id, light);
            return use ? made.lighting(scene, new Staging.Choice.Named(id)) : made;
        });
        return "redirect:/projects/" + project + "/lights?light=" + id + "&scene=" + scene;
    }

    /** A light as a page sends it. @param text in its stored form */
    record LightMessage(String name, String text, Set<UUID> shown) {
        LightMessage {
            if (name == null || text == null || shown == null) {
                throw new Refusal("A light comes with a name, a rule and the parts that are shown.");
            }
        }

        Light asLight() {
            return Light.ofText(name, text);
        }
    }

    @PostMapping("/{light}")
    @ResponseBody
    LightLook change(
            @PathVariable UUID project,
            @PathVariable UUID light,
            @RequestBody LightMessage message,
            @AuthenticationPrincipal SignedIn person) {
        Light wanted = message.asLight();
        stagings.change(
                project, person.id(), "Changed the light " + wanted.name(), staging -> staging.with(light, wanted));
        return look(project, message);
    }

    /** What a light would do; nothing is changed. */
    @PostMapping("/look")
    @ResponseBody
    LightLook look(@PathVariable UUID project, @RequestBody LightMessage message) {
        Palette palette = palettes.of(project);
        return LightLook.of(palette, message.asLight(), message.shown());
    }

    /** Gives a scene the light, or, if it has it, none. */
    @PostMapping("/{light}/use")
    String use(
            @PathVariable UUID project,
            @PathVariable UUID light,
            @RequestParam UUID scene,
            @RequestParam boolean use,
            @AuthenticationPrincipal SignedIn person) {
        Scene lit = projects.scene(project, scene);
        stagings.change(
                project,
                person.id(),
                (use ? "Lit " : "Took the light off ") + lit.title(),
                staging ->
                        staging.lighting(scene, use ? new Staging.Choice.Named(light) : new Staging.Choice.Follow()));
        return "redirect:/projects/" + project + "/lights?light=" + light + "&scene=" + scene;
    }

    @PostMapping("/{light}/remove")
    String remove(
            @PathVariable UUID project,
            @PathVariable UUID light,
            @RequestParam UUID scene,
            @AuthenticationPrincipal SignedIn person) {
        stagings.change(project, person.id(), "Removed a light", staging -> staging.withoutLight(light));
        return "redirect:/projects/" + project + "/lights?scene=" + scene;
    }

    @PostMapping("/take-back")
    String takeBack(
            @PathVariable UUID project,
            @RequestParam UUID scene,
            @RequestParam Optional<UUID> light,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        TakenBack.tell(told, () -> steps.undoNext(project, person.id()));
        String same = light.filter(id -> stagings.of(project).light(id).isPresent())
                .map(id -> "&light=" + id)
                .orElse("");
        return "redirect:/projects/" + project + "/lights?scene=" + scene + same;
    }
}
