package stillpond.app.visit;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Audit;
import stillpond.app.account.OneTimeCode;
import stillpond.app.project.Project;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** Links that only look. Whoever has one sees pictures of the sheets as they are, and nothing else of the project: no cards, no remarks, no names. */
@Service
@Transactional
public class Visits {

    public static final List<Integer> LIVES_IN_DAYS = List.of(1, 7, 30);
    private static final int MOST_OPEN = 50;

    private final VisitLinkRepository links;
    private final Projects projects;
    private final Sheets sheets;
    private final Audit audit;
    private final Clock clock;

    Visits(VisitLinkRepository links, Projects projects, Sheets sheets, Audit audit, Clock clock) {
        this.links = links;
        this.projects = projects;
        this.sheets = sheets;
        this.audit = audit;
        this.clock = clock;
    }

    /** A link that still leads somewhere. @param scene its title; empty: all scenes */
    public record Open(UUID id, String scene, Instant endsAt) {}

    /** What a link shows. */
    record Shown(Project project, List<ShownScene> scenes, Instant endsAt) {

        /** In reading order. */
        List<Sheet> sheets() {
            return scenes.stream().flatMap(scene -> scene.sheets().stream()).toList();
        }
    }

    record ShownScene(String title, List<Sheet> sheets) {}

    /**
     * Makes a link.
     *
     * @param scene empty: to all scenes
     * @param days one of {@link #LIVES_IN_DAYS}
     * @return what it holds, which is not kept
     */
    public OneTimeCode make(UUID project, UUID by, Optional<UUID> scene, int days) {
        projects.require(project, by, Right.MANAGE_MEMBERS);
        String what = scene.map(each -> projects.scene(project, each).title()).orElse("all scenes");
        if (!LIVES_IN_DAYS.contains(days)) {
            throw new Refusal("A link ends after 1, 7 or 30 days.");
        }
        if (open(project).size() >= MOST_OPEN) {
            throw new Refusal("Up to " + MOST_OPEN + " links lead here at once. Withdraw one first.");
        }
        OneTimeCode code = OneTimeCode.random();
        Instant now = clock.instant();
        links.save(new StoredVisitLink(code, project, scene, by, now, now.plus(Duration.ofDays(days))));
        audit.note(by, project, Audit.Kind.INVITED, "Made a link that looks at " + what);
        return code;
    }

    /** Latest first. */
    @Transactional(readOnly = true)
    public List<Open> open(UUID project) {
        Instant now = clock.instant();
        return links.findByProjectIdOrderByMadeAtDesc(project).stream()
                .filter(link -> link.isOpen(now))
                .map(link -> new Open(
                        link.id(),
                        link.scene()
                                .map(scene -> projects.scene(project, scene).title())
                                .orElse(""),
                        link.endsAt()))
                .toList();
    }

    public void withdraw(UUID project, UUID link, UUID by) {
        projects.require(project, by, Right.MANAGE_MEMBERS);
        links.findByIdAndProjectId(link, project).orElseThrow().withdraw(clock.instant());
        audit.note(by, project, Audit.Kind.INVITED, "Withdrew a link that looks");
    }

    /** @throws Refusal that says why the link leads nowhere */
    @Transactional(readOnly = true)
    public Shown look(String code) {
        StoredVisitLink link = links.findByCodeHash(new OneTimeCode(code).hash())
                .orElseThrow(() -> new Refusal("This link leads nowhere. Is all of it there?"));
        link.requireOpen(clock.instant());
        UUID project = link.project();
        if (!projects.isThere(project)) {
            throw new Refusal("What this link led to is not there any more.");
        }
        List<Sheet> inOrder = sheets.inReadingOrder(project);
        List<ShownScene> scenes = projects.scenes(project).stream()
                .filter(scene -> link.scene().isEmpty() || link.scene().get().equals(scene.id()))
                .map(scene -> new ShownScene(scene.title(), of(scene, inOrder)))
                .filter(scene -> !scene.sheets().isEmpty())
                .toList();
        return new Shown(projects.get(project), scenes, link.endsAt());
    }

    private static List<Sheet> of(Scene scene, List<Sheet> inOrder) {
        return inOrder.stream()
                .filter(sheet -> sheet.scene().equals(scene.id()))
                .toList();
    }

    /** @throws Refusal as {@link #look} @throws java.util.NoSuchElementException if the link does not show the sheet */
    @Transactional(readOnly = true)
    public Sheet sheet(String code, UUID sheet) {
        return look(code).sheets().stream()
                .filter(each -> each.id().equals(sheet))
                .findFirst()
                .orElseThrow();
    }
}
