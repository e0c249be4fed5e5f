package stillpond.app.story;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.account.Accounts;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class StoryTest {

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor lead;
    private String colourist;
    private Sheet sheet;
    private String at;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        colourist = work.colourist();
        sheet = work.bringSmall(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 50, 100);
        Visitor.signedIn(pond, colourist)
                .submit(
                        "/projects/" + work.project() + "/remarks",
                        "swatch",
                        work.coat().id().toString(),
                        "body",
                        "=HYPERLINK(\"x\")");
        lead.submit("/projects/" + work.project() + "/members/invite", "role", "GUEST");
        at = "/projects/" + work.project() + "/story";
    }

    @Test
    void everyStepIsToldWithWhoAndWhere() {
        assertThat(lead.get(at + "?each=true").body())
                .contains("Filled 1 cell", sheet.title(), "Said: =HYPERLINK", colourist, "Invited somebody as a guest");
    }

    /** Longer than the files of it are kept. */
    @Test
    void whatWasHandedOnStaysTold() {
        for (int i = 0; i < 7; i++) {
            lead.submit("/projects/" + work.project() + "/hand-on", "form", "FLATS");
        }
        String told = lead.get(at + "?each=true").body();
        assertThat(told.split("Handed on The whole project", -1)).hasSize(8);
    }

    @Test
    void whoTookAFileOfASheetIsTold() {
        lead.get(work.address(sheet) + "/export/flats.png");
        lead.get(work.address(sheet) + "/hand-on/palette/CSV");
        lead.get(work.address(sheet) + "/small.png");
        String told =
                lead.get(at + "?each=true&what=HANDED_ON&sheet=" + sheet.id()).body();
        assertThat(told.split("Handed on ", -1)).hasSize(3);
        assertThat(told).contains("Handed on " + sheet.title(), ".png", work.person());
    }

    @Test
    void whoChangedARegionLastIsTold() {
        String by = work.address(sheet) + "/laid-by?layer=" + sheet.layer().id() + "&cell=";
        List<String> told = IntStream.range(0, sheet.layer().cellCount())
                .mapToObj(cell -> lead.get(by + cell).body())
                .filter(body -> body.contains("Last changed by " + work.person()))
                .toList();
        assertThat(told).as("the one region that was filled").hasSize(1);
    }

    @Test
    void daysAreCountedByPersonSheetAndKind() {
        assertThat(lead.get(at + "?what=FILLS").body())
                .containsPattern("fills and dams</td>\\s*<td[^>]*>1</td>\\s*<td[^>]*>1</td>")
                .doesNotContain("Invited");
    }

    /** Of a change of several sheets none is told twice or left out, wherever a page ends. */
    @Test
    void stepsAreTheSameByPagesAndAtOnce() {
        Sheet second = work.bringSmall(Drawings.threeBoxesLower());
        JdbcClient database = pond.bean(JdbcClient.class);
        database.sql("""
                        insert into effect (change_id, position, kind, sheet_id, layer_id, cells, before, after)
                        select change_id, 1, kind, ?, layer_id, cells, before, after
                        from effect where sheet_id = ? and kind = 'FILLED'""").params(second.id(), sheet.id()).update();
        Story story = pond.bean(Story.class);
        Story.Filter fills =
                new Story.Filter(Optional.empty(), Optional.empty(), Optional.of(Story.What.FILLS), 0, false);
        for (List<UUID> inOrder : List.of(List.of(sheet.id(), second.id()), List.of(second.id(), sheet.id()))) {
            for (int i = 0; i < inOrder.size(); i++) {
                database.sql("update sheet set title = ? where id = ?")
                        .params("Sheet " + i, inOrder.get(i))
                        .update();
            }
            List<String> byPages = IntStream.range(0, 2)
                    .mapToObj(from ->
                            story.steps(work.project(), fills, from, 1).get(0).sheet())
                    .toList();
            assertThat(byPages).containsExactly("Sheet 0", "Sheet 1");
        }
    }

    /** Whole days, the latest first, until there are enough of them; then where to go on. */
    @Test
    void daysAreToldFromTheLatestBackwards() {
        pond.bean(JdbcClient.class)
                .sql("update change set made_at = timestamptz '2026-03-04 10:00Z' where project_id = ?")
                .param(work.project())
                .update();
        Story story = pond.bean(Story.class);
        Story.Filter all = new Story.Filter(Optional.empty(), Optional.empty(), Optional.empty(), 0, false);
        Story.Days first = story.days(work.project(), all, Optional.empty(), 1);
        LocalDate then = LocalDate.of(2026, 3, 4);
        assertThat(first.earlier()).contains(then);
        assertThat(first.days()).extracting(Story.Day::what).containsOnly(Story.What.REMARKS);
        Story.Days second = story.days(work.project(), all, first.earlier(), 1);
        assertThat(second.earlier()).isEmpty();
        assertThat(second.days()).extracting(Story.Day::day).containsOnly(then);
        assertThat(second.days()).extracting(Story.Day::cells).contains(1L);
        assertThat(lead.get(at + "?day=2026-03-04&days=0").body()).contains("4 Mar 2026", "To the latest");
        assertThat(lead.get(at).body()).as("the last 30 days").doesNotContain("4 Mar 2026");
    }

    @Test
    void oneCanAskForOnePersonOrOneSheet() {
        String id = pond.bean(Accounts.class).find(colourist).orElseThrow().id().toString();
        assertThat(lead.get(at + "?each=true&person=" + id).body())
                .contains("HYPERLINK")
                .doesNotContain("Filled 1 cell");
        assertThat(lead.get(at + "?each=true&sheet=" + sheet.id()).body())
                .contains("Filled 1 cell")
                .doesNotContain("HYPERLINK");
    }

    @Test
    void aTableOfItHoldsNoFormula() {
        String table = lead.get(at + "/steps.csv").body();
        assertThat(table).contains("Said: =HYPERLINK", "Filled 1 cell").startsWith("\uFEFFat (UTC),who");
        assertThat(table.lines().flatMap(line -> Arrays.stream(line.split(","))))
                .noneMatch(field -> field.startsWith("=") || field.startsWith("\"="));
    }

    @Test
    void whoComesAndGoesIsToldToTheLeadAlone() {
        assertThat(Visitor.signedIn(pond, colourist).get(at + "?each=true").body())
                .doesNotContain("Invited somebody");
    }
}
