package stillpond.app.project;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Projects, who works on them, and their scenes. */
@Service
@Transactional
public class Projects {

    private final ProjectRepository projects;
    private final MemberRepository members;
    private final SceneRepository scenes;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Projects(
            ProjectRepository projects,
            MemberRepository members,
            SceneRepository scenes,
            ApplicationEventPublisher events,
            Clock clock) {
        this.projects = projects;
        this.members = members;
        this.scenes = scenes;
        this.events = events;
        this.clock = clock;
    }

    /** Starts a project whose first member is its lead. */
    public UUID start(String title, UUID lead) {
        StoredProject project = new StoredProject(UUID.randomUUID(), Title.of("project", title), clock.instant());
        projects.save(project);
        UUID id = project.asProject().id();
        members.save(new Member(id, lead, Role.LEAD));
        events.publishEvent(new ProjectStarted(id));
        return id;
    }

    public void addMember(UUID project, UUID account, Role role) {
        members.save(new Member(project, account, role));
    }

    @Transactional(readOnly = true)
    public boolean may(UUID project, UUID account, Right right) {
        return members.findById(new Member.Key(project, account))
                .filter(member -> right.isFor(member.role()))
                .isPresent();
    }

    /** @throws NotAllowed with a message for the user */
    @Transactional(readOnly = true)
    public void require(UUID project, UUID account, Right right) {
        if (!may(project, account, right)) {
            throw new NotAllowed(right);
        }
    }

    @Transactional(readOnly = true)
    public boolean hasMember(UUID project, UUID account) {
        return members.existsById(new Member.Key(project, account));
    }

    /** Oldest first, without those put away or removed. */
    @Transactional(readOnly = true)
    public List<Project> ofMember(UUID account) {
        return ofMember(account, project -> !project.isRemoved() && !project.isArchived());
    }

    /** Those that were put away, oldest first. */
    @Transactional(readOnly = true)
    public List<Project> archivedOf(UUID account) {
        return ofMember(account, project -> !project.isRemoved() && project.isArchived());
    }

    /** Those that were removed and that somebody may bring back, oldest first. */
    @Transactional(readOnly = true)
    public List<Project> removedOf(UUID account) {
        return ofMember(account, StoredProject::isRemoved).stream()
                .filter(project -> may(project.id(), account, Right.KEEP_SHELF))
                .toList();
    }

    private List<Project> ofMember(UUID account, Predicate<StoredProject> which) {
        return projects.findAllOfMember(account).stream()
                .filter(which)
                .map(StoredProject::asProject)
                .toList();
    }

    public void rename(UUID project, String title, UUID by) {
        kept(project, by).rename(Title.of("project", title));
    }

    /** Has a sheet of the project stand for it on the shelf. */
    public void cover(UUID project, UUID sheet, UUID by) {
        kept(project, by).cover(sheet);
    }

    /** Puts a project away, where it can still be opened, or takes it out again. */
    public void archive(UUID project, boolean isAway, UUID by) {
        kept(project, by).archive(isAway ? clock.instant() : null);
    }

    /** Nothing of it is lost; {@link #bringBack} undoes it. Until then nobody gets in. */
    public void remove(UUID project, UUID by) {
        kept(project, by).remove(clock.instant());
    }

    public void bringBack(UUID project, UUID by) {
        kept(project, by).remove(null);
    }

    private StoredProject kept(UUID project, UUID by) {
        require(project, by, Right.KEEP_SHELF);
        return projects.findById(project).orElseThrow();
    }

    /** Whether there is such a project, and it is not removed. */
    @Transactional(readOnly = true)
    public boolean isThere(UUID project) {
        return projects.findById(project).filter(each -> !each.isRemoved()).isPresent();
    }

    /** @throws NoSuchElementException if there is no such project */
    @Transactional(readOnly = true)
    public Project get(UUID project) {
        return projects.findById(project).orElseThrow().asProject();
    }

    /** Adds a scene behind the others. */
    public Scene addScene(UUID project, String title) {
        StoredScene scene =
                new StoredScene(UUID.randomUUID(), project, Title.of("scene", title), scenes.countByProjectId(project));
        return scenes.save(scene).asScene();
    }

    /** In their order, without those removed. */
    @Transactional(readOnly = true)
    public List<Scene> scenes(UUID project) {
        return scenes.findByProjectIdOrderByPosition(project).stream()
                .filter(scene -> !scene.isRemoved())
                .map(StoredScene::asScene)
                .toList();
    }

    /** @throws NoSuchElementException if the project has no such scene */
    @Transactional(readOnly = true)
    public Scene scene(UUID project, UUID scene) {
        return scenes.findByIdAndProjectId(scene, project).orElseThrow().asScene();
    }

    @Transactional(readOnly = true)
    public List<Scene> removedScenes(UUID project) {
        return scenes.findByProjectIdOrderByPosition(project).stream()
                .filter(StoredScene::isRemoved)
                .map(StoredScene::asScene)
                .toList();
    }

    public void renameScene(UUID project, UUID scene, String title) {
        stored(project, scene).rename(Title.of("scene", title));
    }

    /** Swaps a scene with the one before it ({@code by} -1) or behind it (1); at the end nothing happens. */
    public void moveScene(UUID project, UUID scene, int by) {
        List<StoredScene> order = new ArrayList<>(scenes.findByProjectIdOrderByPosition(project).stream()
                .filter(each -> !each.isRemoved())
                .toList());
        int from = order.indexOf(stored(project, scene));
        int to = from + by;
        if (from >= 0 && to >= 0 && to < order.size()) {
            Collections.swap(order, from, to);
        }
        for (StoredScene each : order) {
            each.placeAt(order.indexOf(each));
        }
    }

    /** Puts a scene aside with all its sheets; {@link #bringSceneBack} undoes it. */
    public void removeScene(UUID project, UUID scene, UUID by) {
        require(project, by, Right.REMOVE_SCENES);
        stored(project, scene).remove(clock.instant());
    }

    public void bringSceneBack(UUID project, UUID scene, UUID by) {
        require(project, by, Right.REMOVE_SCENES);
        stored(project, scene).remove(null);
    }

    private StoredScene stored(UUID project, UUID scene) {
        return scenes.findByIdAndProjectId(scene, project).orElseThrow();
    }
}
