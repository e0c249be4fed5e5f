package stillpond.app.export;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.app.project.Projects;
import stillpond.app.project.Scene;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.FileNames;
import stillpond.core.refusal.Refusal;

/** What is handed on together: which files it comes to, how far they are, and what came of them. */
@Service
@Transactional
class HandingOn {

    private static final int MOST_FILES = 2000;
    /** Of a project; older ones are dropped. */
    private static final int MOST_JOBS = 5;

    private final JobRepository jobs;
    private final FileRepository files;
    private final ContentRepository contents;
    private final Sheets sheets;
    private final Projects projects;
    private final SheetPictures pictures;
    private final Accounts accounts;
    private final Clock clock = Clock.systemUTC();

    HandingOn(
            JobRepository jobs,
            FileRepository files,
            ContentRepository contents,
            Sheets sheets,
            Projects projects,
            SheetPictures pictures,
            Accounts accounts) {
        this.jobs = jobs;
        this.files = files;
        this.contents = contents;
        this.sheets = sheets;
        this.projects = projects;
        this.pictures = pictures;
        this.accounts = accounts;
    }

    /**
     * What is asked for.
     *
     * @param scene empty: the whole project
     * @param onlyChanged leaves out sheets that are as they were when they went out last
     */
    record Order(Optional<UUID> scene, boolean onlyChanged, List<FileForm> forms, Choices choices) {}

    /**
     * How files are written.
     *
     * @param by what shapes, layers and masks are told apart by
     * @param light see {@link AskedLight}
     */
    record Choices(Arrangement by, String light) {
        static final Choices USUAL = new Choices(Arrangement.PART, AskedLight.OWN);

        Choices {
            AskedLight.showing(light);
        }
    }

    /** A file that has to be written. */
    record Task(UUID project, UUID job, int position, UUID sheet, FileForm form, Choices choices) {}

    /** @throws Refusal if that comes to nothing, or to too much */
    UUID begin(UUID project, UUID author, Order order) {
        if (order.forms().isEmpty()) {
            throw new Refusal("Choose at least one form.");
        }
        List<Scene> scenes = order.scene()
                .map(scene -> List.of(projects.scene(project, scene)))
                .orElseGet(() -> projects.scenes(project));
        StoredJob job = new StoredJob(project, author, clock.instant(), words(order, scenes), order.choices());
        List<StoredFile> all = filesOf(job, scenes, order);
        if (all.isEmpty()) {
            throw new Refusal(
                    order.onlyChanged()
                            ? "No sheet has changed since it went out last."
                            : "There is no sheet here yet, so nothing can be handed on.");
        }
        if (all.size() > MOST_FILES) {
            throw new Refusal("This comes to " + all.size()
                    + " files; up to 2,000 go out at once. Choose a scene, or fewer forms.");
        }
        dropOld(project);
        jobs.save(job);
        all.forEach(files::save);
        jobs.note(job.id());
        return job.id();
    }

    private List<StoredFile> filesOf(StoredJob job, List<Scene> scenes, Order order) {
        FileNames names = new FileNames();
        List<Sheet> present = sheets.inProject(job.projectId());
        List<StoredFile> all = new ArrayList<>();
        for (Scene scene : scenes) {
            int number = 0;
            // Kept with the first of its sheets.
            Set<FileForm> ofScene = new HashSet<>();
            for (Sheet sheet : present) {
                if (!sheet.scene().equals(scene.id())) {
                    continue;
                }
                number++;
                if (order.onlyChanged() && !hasChanged(sheet)) {
                    continue;
                }
                String place = String.format("%s - %02d %s", scene.title(), number, sheet.title());
                for (FileForm form : order.forms()) {
                    if (form.isOfScene() && ofScene.contains(form)) {
                        continue;
                    }
                    String of = form.isOfScene() ? scene.title() : place;
                    if (form.isOfScene()) {
                        ofScene.add(form);
                    }
                    String name = names.unique(FileNames.safe(of) + form.suffix(), form.ending());
                    all.add(new StoredFile(new StoredFile.Key(job.id(), all.size()), sheet.id(), form, name));
                }
            }
        }
        return all;
    }

    /** Since it went out last: it looks otherwise, be it by its fills, a swatch or a light. */
    private boolean hasChanged(Sheet sheet) {
        return files.findLatestOf(sheet.id())
                .map(file -> !file.looked().equals(look(sheet)))
                .orElse(true);
    }

    private String look(Sheet sheet) {
        return pictures.colour(sheet, Showing.OWN).smallVersion();
    }

    private static String words(Order order, List<Scene> scenes) {
        String what = order.scene().isPresent() ? scenes.get(0).title() : "The whole project";
        return what + (order.onlyChanged() ? ", what has changed" : "");
    }

    private void dropOld(UUID project) {
        jobs.findByProjectIdOrderByMadeAtDesc(project).stream()
                .skip(MOST_JOBS - 1L)
                .filter(StoredJob::isOver)
                .forEach(jobs::delete);
    }

    /** Those that have to be gone on with after a restart. */
    @Transactional(readOnly = true)
    public List<UUID> unfinished() {
        return jobs.findByFinishedAtIsNullAndCancelledAtIsNull().stream()
                .map(StoredJob::id)
                .toList();
    }

    /** The next file of a job; empty, and the job is over, when there is none or it was cancelled. */
    Optional<Task> next(UUID job) {
        return jobs.findById(job).filter(present -> !present.isCancelled()).flatMap(present -> {
            Optional<StoredFile> file =
                    files.findFirstByKeyJobIdAndStateOrderByKeyPosition(job, StoredFile.State.WAITING);
            if (file.isEmpty()) {
                present.finish(clock.instant());
            }
            return file.map(each -> new Task(
                    present.projectId(), job, each.key().position(), each.sheetId(), each.form(), present.choices()));
        });
    }

    void written(Task task, Sheet sheet, byte[] content) {
        files.findById(new StoredFile.Key(task.job(), task.position())).ifPresent(file -> {
            contents.save(new StoredContent(file.key(), content));
            file.written(look(sheet));
        });
    }

    void failed(Task task, String why) {
        files.findById(new StoredFile.Key(task.job(), task.position())).ifPresent(file -> file.failed(why));
    }

    void cancel(UUID project, UUID job) {
        jobs.findByIdAndProjectId(job, project).orElseThrow().cancel(clock.instant());
    }

    /** A job as people see it, latest first. @param failures what could not be written, and why */
    record Progress(
            UUID id,
            String words,
            String author,
            Instant madeAt,
            long written,
            long all,
            boolean isOver,
            boolean isCancelled,
            List<String> failures) {}

    @Transactional(readOnly = true)
    public List<Progress> of(UUID project) {
        List<StoredJob> all = jobs.findByProjectIdOrderByMadeAtDesc(project);
        Map<UUID, String> names =
                accounts.names(all.stream().map(StoredJob::authorId).collect(Collectors.toSet()));
        return all.stream().map(job -> progress(job, names)).toList();
    }

    private Progress progress(StoredJob job, Map<UUID, String> names) {
        List<StoredFile> all = files.findByKeyJobIdOrderByKeyPosition(job.id());
        return new Progress(
                job.id(),
                job.words(),
                names.getOrDefault(job.authorId(), "somebody"),
                job.madeAt(),
                all.stream()
                        .filter(file -> file.state() == StoredFile.State.WRITTEN)
                        .count(),
                all.size(),
                job.isOver(),
                job.isCancelled(),
                all.stream()
                        .filter(file -> file.state() == StoredFile.State.FAILED)
                        .map(file -> file.name() + ": " + file.said())
                        .toList());
    }

    /** What was written, to be asked for one after the other. @throws java.util.NoSuchElementException if the project has no such job */
    @Transactional(readOnly = true)
    public List<StoredFile> files(UUID project, UUID job) {
        jobs.findByIdAndProjectId(job, project).orElseThrow();
        return files.findByKeyJobIdOrderByKeyPosition(job);
    }

    @Transactional(readOnly = true)
    public Optional<byte[]> content(StoredFile.Key file) {
        return contents.findById(file).map(StoredContent::content);
    }
}
