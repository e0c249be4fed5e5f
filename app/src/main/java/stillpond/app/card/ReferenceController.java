package stillpond.app.card;

import jakarta.validation.Valid;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.core.colour.ColourNames;
import stillpond.core.colour.Srgb;

/** The page on which colours are taken out of a reference picture. */
@Controller
@RequestMapping("/projects/{project}/pictures")
class ReferenceController {

    private final Projects projects;
    private final Palettes palettes;
    private final ReferencePictures pictures;

    ReferenceController(Projects projects, Palettes palettes, ReferencePictures pictures) {
        this.projects = projects;
        this.palettes = palettes;
        this.pictures = pictures;
    }

    @GetMapping
    String all(@PathVariable UUID project, Model model) {
        List<ReferencePicture> all = pictures.of(project);
        return show(project, all.isEmpty() ? null : all.get(all.size() - 1), model);
    }

    @GetMapping("/{picture}")
    String one(@PathVariable UUID project, @PathVariable UUID picture, Model model) {
        return show(project, pictures.get(project, picture), model);
    }

    private String show(UUID project, ReferencePicture picture, Model model) {
        model.addAttribute("project", projects.get(project));
        model.addAttribute("pictures", pictures.of(project));
        model.addAttribute("picture", picture);
        model.addAttribute(
                "cards",
                CardView.of(palettes.of(project)).stream()
                        .filter(card -> !card.isNeutral() && !card.isLoose())
                        .toList());
        return "card/picture";
    }

    @PostMapping
    String bring(@PathVariable UUID project, @RequestParam MultipartFile file) throws IOException {
        ReferencePicture brought = pictures.bring(project, String.valueOf(file.getOriginalFilename()), file.getBytes());
        return "redirect:/projects/" + project + "/pictures/" + brought.id();
    }

    @GetMapping("/{picture}/content.png")
    ResponseEntity<byte[]> content(@PathVariable UUID project, @PathVariable UUID picture) {
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .contentType(MediaType.IMAGE_PNG)
                .body(pictures.content(project, picture));
    }

    /** A colour with the name that suggests itself; null both where nothing opaque lies. */
    record Mean(@Nullable String colour, @Nullable String name) {}

    @GetMapping("/{picture}/mean")
    @ResponseBody
    Mean mean(
            @PathVariable UUID project,
            @PathVariable UUID picture,
            @RequestParam int x,
            @RequestParam int y,
            @RequestParam int radius) {
        return pictures.mean(project, picture, x, y, radius)
                .map(colour -> new Mean(colour.hex(), ColourNames.suggest(colour)))
                .orElse(new Mean(null, null));
    }

    @GetMapping("/{picture}/main")
    @ResponseBody
    List<ReferencePictures.Main> main(
            @PathVariable UUID project, @PathVariable UUID picture, @RequestParam(defaultValue = "8") int most) {
        return pictures.main(project, picture, most);
    }

    @PostMapping("/{picture}/samples")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @PathVariable UUID project,
            @PathVariable UUID picture,
            @RequestBody List<ReferencePictures.@Valid Sample> samples) {
        samples.forEach(sample -> Srgb.ofHex(sample.colour()));
        pictures.keep(project, picture, samples);
    }
}
