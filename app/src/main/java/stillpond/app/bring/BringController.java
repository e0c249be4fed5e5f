package stillpond.app.bring;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.LineArtFile;
import stillpond.app.sheet.Sharpening;
import stillpond.app.sheet.SheetLayers;
import stillpond.app.sheet.Sheets;
import stillpond.core.format.ImageLimits;

@Controller
class BringController {

    private final Projects projects;
    private final Sheets sheets;
    private final SheetLayers layers;
    private final Sharpening sharpening;
    private final ImageLimits limits;
    private final int maxFiles;

    BringController(
            Projects projects,
            Sheets sheets,
            SheetLayers layers,
            Sharpening sharpening,
            ImageLimits limits,
            PondSettings settings) {
        this.projects = projects;
        this.sheets = sheets;
        this.layers = layers;
        this.sharpening = sharpening;
        this.limits = limits;
        this.maxFiles = settings.limits().maxFiles();
    }

    @GetMapping("/projects/{project}/bring")
    String page(@PathVariable UUID project, @RequestParam(required = false) UUID scene, Model model) {
        model.addAttribute("project", projects.get(project));
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("chosen", scene);
        model.addAttribute("limits", limits);
        model.addAttribute("maxFiles", maxFiles);
        return "bring/bring";
    }

    /** A new scene, for line art that belongs to none yet. */
    @PostMapping("/projects/{project}/scenes")
    @ResponseBody
    @ResponseStatus(HttpStatus.CREATED)
    Scene addScene(@PathVariable UUID project, @RequestParam String title) {
        return projects.addScene(project, title);
    }

    /** One file, one sheet: each file of several stands for itself. */
    @PostMapping("/projects/{project}/scenes/{scene}/sheets")
    @ResponseBody
    @ResponseStatus(HttpStatus.CREATED)
    BroughtSheet bring(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @RequestParam MultipartFile file,
            @RequestParam(required = false) Integer vectorPx)
            throws IOException {
        Sheets.Brought brought = sheets.bring(
                project, scene, new LineArtFile(file.getOriginalFilename(), file.getBytes(), asOptional(vectorPx)));
        sharpening.soon(brought.sheet());
        return BroughtSheet.of(brought);
    }

    /** Several files as one sheet, or one file that consists of layers: each is a layer, the first in front. */
    @PostMapping("/projects/{project}/scenes/{scene}/layered-sheets")
    @ResponseBody
    @ResponseStatus(HttpStatus.CREATED)
    BroughtSheet bringLayers(
            @PathVariable UUID project,
            @PathVariable UUID scene,
            @RequestParam List<MultipartFile> file,
            @RequestParam(required = false) Integer vectorPx)
            throws IOException {
        List<LineArtFile> files = new ArrayList<>();
        for (MultipartFile each : file) {
            files.add(new LineArtFile(each.getOriginalFilename(), each.getBytes(), asOptional(vectorPx)));
        }
        Sheets.Brought brought = layers.bring(project, scene, files);
        sharpening.soon(brought.sheet());
        return BroughtSheet.of(brought);
    }

    private static OptionalInt asOptional(Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }
}
