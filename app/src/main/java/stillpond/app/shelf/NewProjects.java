package stillpond.app.shelf;

import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.core.refusal.Refusal;

/** Starts projects with all that a first sheet needs, or not at all. */
@Service
class NewProjects {

    private final Projects projects;
    private final Palettes palettes;

    NewProjects(Projects projects, Palettes palettes) {
        this.projects = projects;
        this.palettes = palettes;
    }

    /** @throws Refusal if the title will not do */
    @Transactional
    UUID start(String title, UUID person) {
        UUID project = projects.start(title, person);
        projects.addScene(project, "First scene");
        palettes.add(project, StarterCard.make());
        return project;
    }
}
