package stillpond.app.demo;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.account.Accounts;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.remark.Remarks;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.travel.ProjectFiles;
import tools.jackson.databind.json.JsonMapper;

/** Brings the demo into an empty database: two people, and the books that {@link DemoMaker} has made, as anybody brings in a project file. */
@Component
@ConditionalOnProperty(name = "pond.demo", havingValue = "true")
class DemoLoader implements ApplicationRunner {

    private static final String REMARKS = "demo/remarks.json";

    private final Accounts accounts;
    private final Projects projects;
    private final ProjectFiles files;
    private final Sheets sheets;
    private final Remarks remarks;
    private final JdbcClient database;
    private final JsonMapper json;
    private final TransactionTemplate transaction;

    DemoLoader(
            Accounts accounts,
            Projects projects,
            ProjectFiles files,
            Sheets sheets,
            Remarks remarks,
            JdbcClient database,
            JsonMapper json,
            TransactionTemplate transaction) {
        this.accounts = accounts;
        this.projects = projects;
        this.files = files;
        this.sheets = sheets;
        this.remarks = remarks;
        this.database = database;
        this.json = json;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (accounts.none()) {
            // All or nothing, so that an interrupted start begins anew with an empty database.
            transaction.executeWithoutResult(status -> load());
        }
    }

    private void load() {
        Map<DemoPerson, UUID> people = new EnumMap<>(DemoPerson.class);
        for (DemoPerson person : DemoPerson.values()) {
            people.put(person, open(person));
        }
        for (DemoFiles book : DemoFiles.values()) {
            UUID project = bring(book, people.get(DemoPerson.LEAD));
            projects.addMember(project, people.get(DemoPerson.COLOURIST), Role.COLOURIST);
            if (book == DemoFiles.TIDE_POST) {
                for (DemoRemark each : said()) {
                    say(project, each, people);
                }
            }
        }
    }

    private UUID open(DemoPerson person) {
        UUID account = accounts.open(person.signInName(), person.displayName(), DemoPerson.PASSWORD);
        accounts.writeTo(account, person.signInName() + "@tide-post.example");
        return account;
    }

    private UUID bring(DemoFiles book, UUID lead) {
        try {
            Path zip = Files.createTempFile("still-pond-", ".zip");
            try {
                try (OutputStream out = Files.newOutputStream(zip)) {
                    book.pack(out);
                }
                UUID project = files.read(zip, lead);
                dateToday(project);
                return project;
            } finally {
                Files.delete(zip);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** It ships with the day on which it was made; whoever opens it finds in its story what was done today. */
    private void dateToday(UUID project) {
        database.sql("""
                        update change set made_at = made_at + (
                          select now() - max(made_at) from change where project_id = :project)
                        where project_id = :project""").param("project", project).update();
    }

    private DemoRemark[] said() {
        try (var in = new ClassPathResource(REMARKS).getInputStream()) {
            return json.readValue(in, DemoRemark[].class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void say(UUID project, DemoRemark said, Map<DemoPerson, UUID> people) {
        Sheet sheet = sheets.inProject(project).stream()
                .filter(each -> each.title().equals(said.sheet()))
                .findFirst()
                .orElseThrow();
        Remarks.Place place = new Remarks.Place(
                sheet.id(), sheet.layer().standing().layer(), (int) (said.x() * sheet.widthPx()), (int)
                        (said.y() * sheet.heightPx()));
        UUID remark = remarks.pin(project, place, people.get(said.by()), said.text());
        said.answers().forEach(each -> remarks.answer(project, remark, people.get(each.by()), each.text()));
    }
}
