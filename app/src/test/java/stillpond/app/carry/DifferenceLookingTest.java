package stillpond.app.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** Sheets are compared while nobody works on them, and what was found is said where they are seen. Places are pixels of the page, 3000 x 2000. */
class DifferenceLookingTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final DifferenceLooking looking = pond.bean(DifferenceLooking.class);
    private Sheet model;
    private Sheet next;

    /** On the second sheet the belt wears the coat. */
    @BeforeEach
    void layTwoSheets() {
        model = work.bringToDesk(Drawings.person(""));
        next = work.bringToDesk(Drawings.person("translate(40 0)"));
        dress(model, 0, work.scarf().id());
        dress(next, 200, work.coat().id());
    }

    private void dress(Sheet sheet, int right, UUID belt) {
        work.lay(sheet, work.coat().id(), 925 + right, 850);
        work.lay(sheet, work.coat().id(), 925 + right, 1200);
        work.lay(sheet, work.scarf().id(), 925 + right, 500);
        work.lay(sheet, belt, 925 + right, 1105);
    }

    private void look() {
        looking.run(next.id(), () -> {});
    }

    private String counted() {
        return visitor.get(work.address(next) + "/check/count").body();
    }

    @Test
    void whatIsUnlikeOtherSheetsIsCountedUntilItIsMendedOrMeant() {
        assertThat(counted()).doesNotContain("unlike");
        look();
        assertThat(counted()).contains("1 unlike other sheets");
        String found = visitor.get(work.address(next) + "/check").body();
        assertThat(found).contains("Wear Scarf", model.title());

        work.lay(next, work.scarf().id(), 1125, 1105);
        assertThat(counted()).as("mended").doesNotContain("unlike");
        work.lay(next, work.coat().id(), 1125, 1105);
        String key = found.replaceAll("(?s).*value=\"(unlike [^\"]+)\".*", "$1");
        visitor.submit(work.address(next) + "/check/accepted", "key", key, "isMeant", "true");
        assertThat(counted()).as("meant").doesNotContain("unlike");
    }

    @Test
    void aSheetThatSomebodyWorksOnIsLookedAtWhenItHasBeenQuiet() {
        await().until(() -> due(next), Optional::isPresent);
        assertThat(due(next).orElseThrow()).isAfter(Instant.now());
    }

    /** One that took a second connection beside that of its transaction would wait for ever when all who fill do so at once. */
    @Test
    void aFillIsContentWithTheLastConnection() throws SQLException {
        // Looked at just now, so that the next fill puts it off anew.
        looking.run(next.id(), () -> {});
        pond.bean(JdbcClient.class)
                .sql("delete from scheduled_tasks where task_instance = ?")
                .param(next.id().toString())
                .update();
        HikariDataSource database = pond.bean(DataSource.class).unwrap(HikariDataSource.class);
        List<Connection> others = new ArrayList<>();
        try {
            for (int i = 1; i < database.getMaximumPoolSize(); i++) {
                others.add(database.getConnection());
            }
            work.lay(next, work.scarf().id(), 1125, 850);
        } finally {
            for (Connection other : others) {
                other.close();
            }
        }
        await().until(() -> due(next), Optional::isPresent);
    }

    private Optional<Instant> due(Sheet sheet) {
        return pond.bean(JdbcClient.class)
                .sql("select execution_time from scheduled_tasks where task_name = ? and task_instance = ?")
                .params(DifferenceLooking.NAME, sheet.id().toString())
                .query((row, number) -> row.getTimestamp(1).toInstant())
                .optional();
    }

    @Test
    void aSheetThatIsGoneIsLeftAlone() {
        looking.run(UUID.randomUUID(), () -> {});
        assertThat(visitor.get(work.address(next) + "/check").statusCode()).isEqualTo(200);
    }
}
