package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class SheetsBesideTest {

    private final Work work = Work.begin(TestPond.shared());
    private final Visitor visitor = Visitor.signedIn(TestPond.shared(), work.person());

    @Test
    void whatTheSheetsBeforeAndBehindWearIsToldMostOfItFirst() {
        Sheet first = work.bring(Drawings.threeBoxes());
        Sheet second = work.bring(Drawings.threeBoxesLower());
        work.lay(first, work.scarf().id(), 500, 1000);
        work.lay(first, work.coat().id(), 30, 30);
        UUID large = work.coat().id();
        UUID small = work.scarf().id();
        assertThat(visitor.get(work.address(second) + "/beside").body())
                .isEqualTo("[\"" + large + "\",\"" + small + "\"]");
        assertThat(visitor.get(work.address(first) + "/beside").body())
                .as("itself does not count")
                .isEqualTo("[]");
        assertThat(visitor.get("/projects/" + work.project() + "/sheets/" + UUID.randomUUID() + "/beside")
                        .statusCode())
                .isEqualTo(404);
    }
}
