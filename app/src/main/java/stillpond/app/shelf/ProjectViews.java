package stillpond.app.shelf;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.account.Accounts;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Project;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Progress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** Puts together what the shelf and the project page show. */
@Service
public class ProjectViews {

    private final Projects projects;
    private final Sheets sheets;
    private final Palettes palettes;
    private final Accounts accounts;

    ProjectViews(Projects projects, Sheets sheets, Palettes palettes, Accounts accounts) {
        this.projects = projects;
        this.sheets = sheets;
        this.palettes = palettes;
        this.accounts = accounts;
    }

    List<ProjectView> ofMember(UUID account) {
        return projects.ofMember(account).stream().map(this::view).toList();
    }

    public ProjectView get(UUID project) {
        return view(projects.get(project));
    }

    private ProjectView view(Project project) {
        List<Sheet> inProject = sheets.inProject(project.id());
        Map<UUID, Progress> progress = sheets.progress(project.id());
        Map<UUID, String> names = accounts.names(
                inProject.stream().flatMap(sheet -> sheet.inHandOf().stream()).toList());
        List<SceneView> scenes = projects.scenes(project.id()).stream()
                .map(scene -> scene(scene, inProject, progress, names))
                .toList();
        return new ProjectView(
                project.id(), project.title(), project.cover(), scenes, CardView.of(palettes.of(project.id())));
    }

    private static SceneView scene(
            Scene scene, List<Sheet> inProject, Map<UUID, Progress> progress, Map<UUID, String> names) {
        List<SheetTile> tiles = inProject.stream()
                .filter(sheet -> sheet.scene().equals(scene.id()))
                .map(sheet -> new SheetTile(
                        sheet.id(),
                        sheet.title(),
                        sheet.revision(),
                        progress.get(sheet.id()),
                        sheet.state(),
                        sheet.inHandOf().map(names::get).orElse("")))
                .toList();
        return new SceneView(scene.id(), scene.title(), tiles);
    }
}
