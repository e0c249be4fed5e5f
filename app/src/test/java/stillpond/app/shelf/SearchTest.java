package stillpond.app.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class SearchTest {

    private final TestPond pond = TestPond.shared();
    private final String rare = "q" + UUID.randomUUID().toString().substring(0, 8);
    private Work work;
    private Visitor visitor;
    private Sheet sheet;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        visitor = Visitor.signedIn(pond, work.person());
        sheet = work.bringSmall(Drawings.threeBoxes());
        pond.bean(SheetOrder.class).rename(work.project(), sheet.id(), "At the " + rare + " 50%_");
    }

    private String find(Visitor who, String text) {
        return who.ask("/search", "q", text).body();
    }

    @Test
    void sheetsScenesCardsAndSwatchesAreFoundByAPartOfTheirName() {
        assertThat(find(visitor, rare.toUpperCase(Locale.ROOT)))
                .contains("href=\"/projects/" + work.project() + "/sheets/" + sheet.id() + "\"");
        assertThat(find(visitor, "coat")).contains("/find?swatch=" + work.coat().id());
        assertThat(find(visitor, "junip")).contains("/projects/" + work.project() + "/cards/");
        pond.bean(Projects.class).renameScene(work.project(), work.scene(), "Dusk " + rare);
        assertThat(find(visitor, "dusk " + rare)).contains("/scenes/" + work.scene());
    }

    @Test
    void nothingOfOthersAndNothingRemovedIsFound() {
        Visitor stranger = Visitor.signedIn(pond, Work.begin(pond).person());
        assertThat(find(stranger, rare)).contains("Nothing has that in its name");
        pond.bean(SheetOrder.class).remove(work.project(), sheet.id());
        assertThat(find(visitor, rare)).contains("Nothing has that in its name");
    }

    @Test
    void signsOfPatternsMeanThemselves() {
        assertThat(find(visitor, rare + " 50%_")).contains("/sheets/" + sheet.id());
        assertThat(find(visitor, rare + "%")).contains("Nothing has that in its name");
        assertThat(find(visitor, "a".repeat(101))).contains("Up to 100 characters");
    }
}
