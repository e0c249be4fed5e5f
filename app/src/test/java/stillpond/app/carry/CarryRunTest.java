package stillpond.app.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;

/** What is sure is carried on through a scene, sheet after sheet, with nobody looking on. Places are in the units of the drawing, 600 x 400. */
class CarryRunTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final List<Sheet> scene = new ArrayList<>();

    /** The same person on three sheets, a step further to the right on each. */
    @BeforeEach
    void drawAScene() {
        for (int step = 0; step < 3; step++) {
            scene.add(work.bringToDesk(Drawings.person("translate(" + 60 * step + " 0)")));
        }
        lay(0, work.coat().id(), 185, 180);
        lay(0, work.coat().id(), 185, 260);
        lay(0, work.scarf().id(), 185, 221);
        lay(0, work.scarf().id(), 185, 100);
    }

    private void lay(int sheet, UUID swatch, int x, int y) {
        work.lay(scene.get(sheet), swatch, 5 * (x + 60 * sheet), 5 * y);
    }

    private int carryOn(int from, int to) {
        return visitor.post(
                        work.address(scene.get(to)) + "/carry/sure",
                        "{\"sources\":[\"" + scene.get(from).id() + "\"],\"overFilled\":false}")
                .statusCode();
    }

    private Fill worn(int sheet, int x, int y) {
        Layer layer = pond.bean(Sheets.class)
                .get(work.project(), scene.get(sheet).id())
                .layer();
        double scale = layer.widthPx() / 600.0;
        int cell = PlaneCodec.cellAt(
                pond.bean(Planes.class).content(layer.cells()), (int) (scale * (x + 60 * sheet)), (int) (scale * y));
        return pond.bean(Sheets.class).fills(layer).of(cell);
    }

    @Test
    void eachSheetIsTheSourceOfTheNext() {
        assertThat(carryOn(0, 1)).isEqualTo(200);
        assertThat(carryOn(1, 2)).isEqualTo(200);
        for (int sheet = 1; sheet < 3; sheet++) {
            assertThat(worn(sheet, 185, 180))
                    .as("coat on sheet " + sheet)
                    .isEqualTo(Fill.flat(work.coat().id()));
            assertThat(worn(sheet, 185, 221))
                    .as("belt on sheet " + sheet)
                    .isEqualTo(Fill.flat(work.scarf().id()));
            assertThat(worn(sheet, 155, 340)).as("what the model left open").isEqualTo(Fill.NONE);
        }
    }

    @Test
    void theGroundOfAModelSheetIsNotCarried() {
        lay(0, work.scarf().id(), 20, 20);
        carryOn(0, 1);
        assertThat(worn(1, 20, 20))
                .as("behind the figure of a sheet of the book")
                .isEqualTo(Fill.flat(work.scarf().id()));

        Palettes palettes = pond.bean(Palettes.class);
        palettes.judge(
                work.project(),
                palettes.of(work.project())
                        .cardOf(work.coat().id())
                        .orElseThrow()
                        .id(),
                scene.get(0).id());
        carryOn(0, 2);
        assertThat(worn(2, 185, 180)).isEqualTo(Fill.flat(work.coat().id()));
        assertThat(worn(2, 20, 20)).as("behind the figure of a model sheet").isEqualTo(Fill.NONE);
    }

    @Test
    void whatSomebodyFilledStaysAndARunIsOneStepToTakeBack() {
        lay(1, work.scarf().id(), 185, 180);
        carryOn(0, 1);
        assertThat(worn(1, 185, 180)).isEqualTo(Fill.flat(work.scarf().id()));
        assertThat(worn(1, 185, 260)).isEqualTo(Fill.flat(work.coat().id()));

        UUID sheet = scene.get(1).id();
        UUID run = work.line(sheet, work.account()).undoable().get(0).id();
        pond.bean(SheetChanges.class).make(sheet, work.account(), new ChangeRequest.Undo(UUID.randomUUID(), run));
        assertThat(worn(1, 185, 260)).isEqualTo(Fill.NONE);
        assertThat(worn(1, 185, 221)).isEqualTo(Fill.NONE);
        assertThat(worn(1, 185, 180)).isEqualTo(Fill.flat(work.scarf().id()));
    }

    @Test
    void asManySourcesAsNobodyHasAreRefused() {
        String many = "\"" + UUID.randomUUID() + "\",";
        String body = "{\"sources\":[" + many.repeat(50) + "\"" + UUID.randomUUID() + "\"],\"overFilled\":false}";
        assertThat(visitor.post(work.address(scene.get(1)) + "/carry/sure", body)
                        .statusCode())
                .isIn(400, 422);
        assertThat(visitor.post(
                                work.address(scene.get(1)) + "/carry/sure",
                                "{\"sources\":[\"" + UUID.randomUUID() + "\"],\"overFilled\":false}")
                        .statusCode())
                .isEqualTo(404);
        assertThat(worn(1, 185, 180)).isEqualTo(Fill.NONE);
    }
}
