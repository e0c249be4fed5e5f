package stillpond.app.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.CountedStatements;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** A page asks the database as often for many sheets as for few. */
class StatementsTest {

    private static final int FEW = 2;
    private static final int MANY = 7;
    /** Roles, the session and what stands in every head, and what the page itself is about. */
    private static final int MOST = 40;
    /** Once a minute it is noted that somebody is still there. */
    private static final int AT_TIMES = 1;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private int brought;

    @Test
    void theNumberOfStatementsDoesNotGrowWithTheSheets() {
        Sheet first = bringUntil(FEW);
        Map<String, Integer> few = statements(pages(first));
        bringUntil(MANY);
        Map<String, Integer> many = statements(pages(first));
        assertThat(many)
                .allSatisfy((page, count) -> assertThat(count).as(page).isLessThanOrEqualTo(few.get(page) + AT_TIMES));
        assertThat(few.values()).allMatch(count -> count > 0 && count <= MOST, "at most " + MOST + " in " + few);
    }

    private Sheet bringUntil(int count) {
        Sheet first = null;
        while (brought < count) {
            brought++;
            Sheet sheet = work.bringSmall(new String(Drawings.threeBoxes())
                    .replace("y=\"100\"", "y=\"" + (90 + brought) + "\"")
                    .getBytes());
            work.lay(sheet, work.coat().id(), 10, 10);
            first = first == null ? sheet : first;
        }
        return first;
    }

    private List<String> pages(Sheet sheet) {
        String project = "/projects/" + work.project();
        return List.of(
                project,
                project + "/scenes/" + work.scene(),
                work.address(sheet),
                project + "/cards",
                project + "/ledger",
                project + "/compare",
                project + "/compare/consistency",
                project + "/find?swatch=" + work.coat().id(),
                project + "/carry",
                project + "/story",
                project + "/remarks",
                project + "/members");
    }

    /** Asked for twice: what is kept in memory is made by the first visitor. */
    private Map<String, Integer> statements(List<String> pages) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (String page : pages) {
            visitor.get(page);
            HttpResponse<String> answer = visitor.get(page);
            assertThat(answer.statusCode()).as(page).isEqualTo(200);
            counts.put(
                    page,
                    CountedStatements.of(
                            answer.headers().firstValue("X-Request-Id").orElseThrow()));
        }
        return counts;
    }
}
