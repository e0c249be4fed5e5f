package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.sheet.ProjectMotifs;
import stillpond.app.sheet.Sheets;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.Picture;
import stillpond.core.render.Motif;

/** The motifs of patterns, for the desk to choose from and to draw with. */
@RestController
@RequestMapping("/projects/{project}")
class MotifController {

    private static final int OPAQUE = 0xff000000;

    private final Sheets sheets;
    private final ProjectMotifs motifs;

    MotifController(Sheets sheets, ProjectMotifs motifs) {
        this.sheets = sheets;
        this.motifs = motifs;
    }

    @GetMapping("/motifs")
    List<ProjectMotifs.Named> list(@PathVariable UUID project) {
        return motifs.inProject(project);
    }

    /** @param cells of the layer that is worked on */
    record PatternMessage(
            @NotBlank @Size(max = 60) String title,
            @NotEmpty @Size(max = 1_000_000) List<@NotNull Integer> cells) {}

    /** Makes a pattern of what is gathered on a sheet. */
    @PostMapping("/sheets/{sheet}/pattern")
    ProjectMotifs.MadeOfCells make(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestBody @Valid PatternMessage message) {
        return motifs.make(sheets.get(project, sheet, layer), message.title(), message.cells());
    }

    @PostMapping("/motifs")
    ProjectMotifs.Named bring(@PathVariable UUID project, @RequestParam MultipartFile file) throws IOException {
        return motifs.bring(project, Objects.toString(file.getOriginalFilename(), ""), file.getBytes());
    }

    /** The shares of its colours: red, green and blue are those of the second, third and fourth. */
    @GetMapping("/motifs/{name}.png")
    ResponseEntity<StreamingResponseBody> shares(@PathVariable UUID project, @PathVariable String name) {
        Motif motif = motifs.of(project).find(name).orElseThrow();
        int[] argb = Arrays.stream(motif.shares()).map(share -> OPAQUE | share).toArray();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .contentType(MediaType.IMAGE_PNG)
                .body(out -> PngWriter.write(new Picture(Motif.SIDE, Motif.SIDE, argb), out));
    }
}
