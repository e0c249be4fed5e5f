package stillpond.app.device;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.background.Background;
import stillpond.app.page.Downloads;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.core.palette.Paint;

/** What was sent to the press and the cutter: watched, held, taken back and looked at. */
@Controller
@RequestMapping("/projects/{project}/devices")
class DeviceController {

    private static final String HAND_ON = "redirect:/projects/%s/hand-on#devices";
    private static final Map<String, MediaType> TYPES = Map.of(
            ".png",
            MediaType.IMAGE_PNG,
            ".svg",
            MediaType.valueOf("image/svg+xml"),
            ".zip",
            MediaType.valueOf("application/zip"),
            ".nc",
            MediaType.TEXT_PLAIN);

    private final Projects projects;
    private final Palettes palettes;
    private final DeviceJobs jobs;
    private final Press press;
    private final PressInks inks;
    private final Background background;

    DeviceController(
            Projects projects, Palettes palettes, DeviceJobs jobs, Press press, PressInks inks, Background background) {
        this.projects = projects;
        this.palettes = palettes;
        this.jobs = jobs;
        this.press = press;
        this.inks = inks;
        this.background = background;
    }

    @GetMapping
    String devices(@PathVariable UUID project, Model model) {
        model.addAttribute("limits", press.limits(project));
        model.addAttribute("spots", spots(project));
        model.addAttribute("loaded", inks.of(project));
        jobs(project, model);
        return "device/devices :: devices";
    }

    @GetMapping("/jobs")
    String jobs(@PathVariable UUID project, Model model) {
        List<DeviceJobs.View> all = jobs.of(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("sent", all);
        model.addAttribute("isBusy", all.stream().anyMatch(job -> !job.isOver() && !job.isHeld()));
        return "device/devices :: jobs";
    }

    @PostMapping("/jobs/{job}/hold")
    String hold(@PathVariable UUID project, @PathVariable UUID job) {
        jobs.hold(project, job);
        return HAND_ON.formatted(project);
    }

    @PostMapping("/jobs/{job}/release")
    String release(@PathVariable UUID project, @PathVariable UUID job) {
        jobs.release(project, job);
        background.begin(DeviceWork.NAME, job);
        return HAND_ON.formatted(project);
    }

    @PostMapping("/jobs/{job}/cancel")
    String cancel(@PathVariable UUID project, @PathVariable UUID job) {
        jobs.cancel(project, job);
        return HAND_ON.formatted(project);
    }

    /** @param ink those that the press has from now on */
    @PostMapping("/press/inks")
    String load(@PathVariable UUID project, @RequestParam(defaultValue = "") List<String> ink) {
        inks.load(project, ink);
        return HAND_ON.formatted(project);
    }

    /** Shown in the page if it is a picture, else kept as a file. */
    @GetMapping("/jobs/{job}/files/{name}")
    ResponseEntity<byte[]> file(@PathVariable UUID project, @PathVariable UUID job, @PathVariable String name) {
        byte[] content = jobs.file(project, job, name);
        int dot = name.lastIndexOf('.');
        MediaType type = TYPES.getOrDefault(name.substring(dot), MediaType.APPLICATION_OCTET_STREAM);
        boolean isShown = type.getType().equals("image") && !name.equals("drawing.svg");
        return isShown
                ? ResponseEntity.ok()
                        .cacheControl(CacheControl.noCache().cachePrivate())
                        .contentType(type)
                        .body(content)
                : Downloads.file(name.substring(0, dot), name.substring(dot), type)
                        .body(content);
    }

    /** What the press could be loaded with: what is on the cards, and what it has. */
    private Set<String> spots(UUID project) {
        Set<String> all = new TreeSet<>(inks.of(project));
        palettes.of(project)
                .cards()
                .forEach(card -> card.swatches().forEach(swatch -> {
                    if (swatch.paint() instanceof Paint.Spot spot) {
                        all.add(spot.ink());
                    }
                }));
        return all;
    }
}
