package stillpond.app.travel;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.account.SignedIn;
import stillpond.app.page.Downloads;
import stillpond.app.project.Project;
import stillpond.app.project.Projects;
import stillpond.app.settings.PondSettings;
import stillpond.core.refusal.Refusal;

/** Projects go out as files, and come in. */
@Controller
class ProjectFileController {

    private static final int BUFFER_BYTES = 1 << 16;

    private final Projects projects;
    private final ProjectFileWriter writer;
    private final ProjectFiles files;
    private final long mostBytes;

    ProjectFileController(Projects projects, ProjectFileWriter writer, ProjectFiles files, PondSettings settings) {
        this.projects = projects;
        this.writer = writer;
        this.files = files;
        this.mostBytes = settings.limits().maxProject().toBytes();
    }

    /**
     * The file is made while it is sent: a project may be too large to wait for.
     *
     * @param scene for {@link Selection.Scope#SCENES}: those that travel
     * @param history whether the log of a whole project does
     */
    @GetMapping("/projects/{project}/export/project.zip")
    ResponseEntity<StreamingResponseBody> write(
            @PathVariable UUID project,
            @RequestParam(defaultValue = "PROJECT") Selection.Scope scope,
            @RequestParam(defaultValue = "") List<UUID> scene,
            @RequestParam(defaultValue = "false") boolean history) {
        Project present = projects.get(project);
        Selection selection = switch (scope) {
            case PROJECT -> files.whole(project, history);
            case SCENES -> new Selection(project, scope, chosen(project, scene), false);
            case CARDS -> new Selection(project, scope, List.of(), false);
        };
        return Downloads.file(present.title(), ".zip", MediaType.valueOf("application/zip"))
                .body(out -> writer.write(selection, out));
    }

    private List<UUID> chosen(UUID project, List<UUID> scenes) {
        if (scenes.isEmpty()) {
            throw new Refusal("Choose at least one scene.");
        }
        return scenes.stream().map(id -> projects.scene(project, id).id()).toList();
    }

    /** Answered with where the new project is. The file is the whole body, for what a form sends is bounded by what line art may take. */
    @PostMapping(path = "/shelf/project-file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseBody
    ResponseEntity<Project> take(@AuthenticationPrincipal SignedIn person, InputStream body) throws IOException {
        Path file = Files.createTempFile("still-pond-", ".zip");
        try {
            receive(body, file);
            Project taken = projects.get(files.read(file, person.id()));
            return ResponseEntity.created(URI.create("/projects/" + taken.id())).body(taken);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private void receive(InputStream body, Path file) throws IOException {
        try (var out = Files.newOutputStream(file)) {
            byte[] some = new byte[BUFFER_BYTES];
            long bytes = 0;
            for (int read = body.read(some); read >= 0; read = body.read(some)) {
                bytes += read;
                if (bytes > mostBytes) {
                    throw new Refusal("The file is larger than the " + (mostBytes >> 20)
                            + " MB that a project may take here. Nothing of it was taken.");
                }
                out.write(some, 0, read);
            }
        }
    }
}
