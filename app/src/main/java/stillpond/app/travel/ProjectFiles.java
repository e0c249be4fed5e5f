package stillpond.app.travel;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.project.Scene;
import stillpond.app.project.Title;
import stillpond.app.settings.PondSettings;
import stillpond.core.refusal.Refusal;

/** Takes project files in, one at a time, and copies projects the way they travel. */
@Service
public class ProjectFiles {

    /** What a file may hold when it is unpacked, beside what it is itself: planes are packed well. */
    private static final int MOST_TIMES_UNPACKED = 40;

    private final Projects projects;
    private final ProjectFileWriter writer;
    private final ProjectFileReader reader;
    private final JdbcClient database;
    private final long mostBytes;

    /** Each takes the memory of a sheet, and a core. */
    private final Semaphore turn = new Semaphore(1);

    ProjectFiles(
            Projects projects,
            ProjectFileWriter writer,
            ProjectFileReader reader,
            JdbcClient database,
            PondSettings settings) {
        this.projects = projects;
        this.writer = writer;
        this.reader = reader;
        this.database = database;
        this.mostBytes = settings.limits().maxProject().toBytes();
    }

    /** All of a project. @param withHistory whether its log is among it */
    Selection whole(UUID project, boolean withHistory) {
        List<UUID> scenes = Stream.concat(projects.scenes(project).stream(), projects.removedScenes(project).stream())
                .map(Scene::id)
                .toList();
        return new Selection(project, Selection.Scope.PROJECT, scenes, withHistory);
    }

    /** Writes all of a project, with its log. */
    public void write(UUID project, OutputStream out) throws IOException {
        writer.write(whole(project, true), out);
    }

    /**
     * Takes one in.
     *
     * @return the new project
     * @throws Refusal if nothing of it can be taken
     */
    public UUID read(Path file, UUID person) throws IOException {
        if (!turn.tryAcquire()) {
            throw new Refusal(
                    "Another project is being brought in just now. Nothing of this one was taken; try again in a minute.");
        }
        try (ReadZip zip = ReadZip.open(file, MOST_TIMES_UNPACKED * mostBytes)) {
            return reader.take(zip, person);
        } catch (Refusal refusal) {
            throw new Refusal(refusal.getMessage() + " Nothing of it was taken.", refusal);
        } finally {
            turn.release();
        }
    }

    /**
     * Puts a copy of a project beside it on the shelf of whoever copies it: what would travel, without the log.
     *
     * @param withFills whether its sheets wear in the copy what they wear here
     * @return the copy
     * @throws stillpond.app.project.NotAllowed for whoever does not keep the shelf of the project
     */
    UUID copy(UUID project, UUID person, boolean withFills) throws IOException {
        projects.require(project, person, Right.KEEP_SHELF);
        Path file = Files.createTempFile("still-pond-", ".zip");
        try {
            try (var out = Files.newOutputStream(file)) {
                writer.write(whole(project, false), out);
            }
            UUID copy = read(file, person);
            if (!withFills) {
                clearFills(copy);
            }
            projects.rename(copy, copyOf(projects.get(project).title()), person);
            return copy;
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private void clearFills(UUID project) {
        database.sql("""
                        delete from cell_fill f using layer l, sheet s
                        where l.id = f.layer_id and s.id = l.sheet_id and s.project_id = ?""").param(project).update();
    }

    private static String copyOf(String title) {
        String copy = "Copy of " + title;
        return copy.substring(0, Math.min(copy.length(), Title.MAX_LENGTH));
    }
}
