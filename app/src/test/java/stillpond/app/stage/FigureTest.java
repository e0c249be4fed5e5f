package stillpond.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class FigureTest {

    private final TestPond pond = TestPond.shared();

    @Test
    void whoeverIsAtAPlaceOfAPictureIsTold() {
        Work work = Work.begin(pond);
        Visitor visitor = Visitor.signedIn(pond, work.person());
        Sheet sheet = work.bringSmall(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 50, 100);
        String at = "/projects/" + work.project() + "/scenes/" + sheet.scene() + "/sheets/" + sheet.id() + "/figure?";
        double x = 50.0 / sheet.layer().widthPx();
        double y = 100.0 / sheet.layer().heightPx();

        assertThat(visitor.get(at + "x=" + x + "&y=" + y).body()).contains("\"name\":\"Juniper\"");
        assertThat(visitor.get(at + "x=0.999&y=0.999").body()).contains("\"card\":null");
        assertThat(visitor.get(at + "x=NaN&y=-4").body()).contains("\"card\":null");
        assertThat(visitor.get(at + "x=a&y=1").statusCode()).isEqualTo(400);
    }
}
