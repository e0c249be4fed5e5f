package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.account.SignedIn;
import stillpond.app.background.Background;
import stillpond.app.page.Downloads;
import stillpond.app.project.Projects;
import stillpond.core.handon.Arrangement;
import stillpond.core.refusal.Refusal;

/** The page on which many sheets are handed on at once. */
@Controller
@RequestMapping("/projects/{project}/hand-on")
class HandOnProjectController {

    private final Projects projects;
    private final HandingOn handingOn;
    private final Background background;

    HandOnProjectController(Projects projects, HandingOn handingOn, Background background) {
        this.projects = projects;
        this.handingOn = handingOn;
        this.background = background;
    }

    @GetMapping
    String page(@PathVariable UUID project, Model model) {
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("forms", FileForm.values());
        jobs(project, model);
        return "export/hand-on-project";
    }

    /** @param scene left out: the whole project */
    @PostMapping
    String begin(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> scene,
            @RequestParam(defaultValue = "false") boolean changed,
            @RequestParam(defaultValue = "") List<FileForm> form,
            @RequestParam(defaultValue = "PART") Arrangement by,
            @RequestParam(defaultValue = "own") String light,
            @AuthenticationPrincipal SignedIn person) {
        background.begin(
                FileWriting.NAME,
                handingOn.begin(
                        project,
                        person.id(),
                        new HandingOn.Order(scene, changed, form, new HandingOn.Choices(by, light))));
        return "redirect:/projects/" + project + "/hand-on";
    }

    @GetMapping("/jobs")
    String jobs(@PathVariable UUID project, Model model) {
        List<HandingOn.Progress> jobs = handingOn.of(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("jobs", jobs);
        model.addAttribute("isBusy", jobs.stream().anyMatch(job -> !job.isOver()));
        return "export/hand-on-project :: jobs";
    }

    @PostMapping("/jobs/{job}/cancel")
    String cancel(@PathVariable UUID project, @PathVariable UUID job) {
        handingOn.cancel(project, job);
        return "redirect:/projects/" + project + "/hand-on";
    }

    /** What was written, and a list of what was not. */
    @GetMapping("/jobs/{job}/files.zip")
    ResponseEntity<StreamingResponseBody> files(@PathVariable UUID project, @PathVariable UUID job) {
        List<StoredFile> files = handingOn.files(project, job);
        if (files.stream().noneMatch(file -> file.state() == StoredFile.State.WRITTEN)) {
            throw new Refusal("Nothing of this has been written, so there is nothing to take.");
        }
        return Downloads.file(projects.get(project).title(), ".zip", MediaType.valueOf("application/zip"))
                .body(out -> zip(files, out));
    }

    private void zip(List<StoredFile> files, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        List<String> failures = new ArrayList<>();
        for (StoredFile file : files) {
            Optional<byte[]> content = handingOn.content(file.key());
            if (content.isPresent()) {
                zip.putNextEntry(new ZipEntry(file.name()));
                zip.write(content.get());
                zip.closeEntry();
            } else {
                failures.add(file.name() + ": " + (file.said().isEmpty() ? "not written" : file.said()));
            }
        }
        if (!failures.isEmpty()) {
            zip.putNextEntry(new ZipEntry("not written.txt"));
            zip.write((String.join("\n", failures) + "\n").getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        zip.finish();
    }
}
