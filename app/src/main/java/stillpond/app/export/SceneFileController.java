package stillpond.app.export;

import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.project.Projects;

/** One scene as a file to hand on. */
@RestController
@RequestMapping("/projects/{project}/scenes/{scene}/export")
class SceneFileController {

    private final Proofs proofs;
    private final Projects projects;

    SceneFileController(Proofs proofs, Projects projects) {
        this.proofs = proofs;
        this.projects = projects;
    }

    @GetMapping("/proof.pdf")
    ResponseEntity<StreamingResponseBody> proof(@PathVariable UUID project, @PathVariable UUID scene) {
        String title = projects.scene(project, scene).title();
        return Spooled.download(
                title + " - proof",
                ".pdf",
                MediaType.APPLICATION_PDF,
                out -> ProofPdf.write(proofs.ofScene(project, scene), out));
    }
}
