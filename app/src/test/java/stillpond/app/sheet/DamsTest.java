package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.DamState;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Point;
import stillpond.core.history.UndoLine;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;

/** A box with a gap at (300, 100) and a closed one; places in the units of the drawing, 600 x 400, a unit being 5 pixels. */
class DamsTest {

    /** Through the closed box, whose ends are carried on to its ink. */
    private static final List<Point> ACROSS = List.of(new Point(2250, 1000), new Point(2760, 1025));

    private final TestPond pond = TestPond.shared();
    private final SheetChanges changes = pond.bean(SheetChanges.class);
    private final Sheets sheets = pond.bean(Sheets.class);
    private Work work;
    private UUID sheet;

    @BeforeEach
    void bringBoxes() {
        work = Work.begin(pond);
        sheet = work.bring(Drawings.svg("""
                        <g fill="none" stroke="#000" stroke-width="6">
                          <path d="M290 100H240V300H360V100H314"/>
                          <rect x="440" y="100" width="120" height="200"/>
                        </g>""")).id();
    }

    @Test
    void aGapIsDammedFromTheStartAndTheChoiceIsKeptAndUndone() {
        assertThat(inOneRegion(300, 200, 30, 30)).isFalse();
        say(DamState.OPEN, openingsOf(300, 200));
        assertThat(inOneRegion(300, 200, 30, 30)).isTrue();
        assertThat(progress().regions()).isEqualTo(2);
        step(false);
        assertThat(inOneRegion(300, 200, 30, 30)).isFalse();
        assertThat(progress().regions()).isEqualTo(3);
        step(true);
        assertThat(inOneRegion(300, 200, 30, 30)).isTrue();
    }

    @Test
    void reachGoesUpAndDownAndMovesNoFill() {
        lay(300, 200);
        make(new ChangeRequest.Dam(UUID.randomUUID(), layer().id(), Map.of(), OptionalDouble.of(1)));
        assertThat(inOneRegion(300, 200, 30, 30)).isTrue();
        assertThat(worn(300, 200)).isNotEqualTo(Fill.NONE);
        assertThat(worn(30, 30)).isEqualTo(Fill.NONE);
        assertThat(progress().filledRegions()).isZero();
        make(new ChangeRequest.Dam(UUID.randomUUID(), layer().id(), Map.of(), OptionalDouble.of(0.3)));
        assertThat(progress().filledRegions()).isEqualTo(1);
    }

    @Test
    void aDamDrawnByHandPartsARegionAndItsPartsKeepTheFill() {
        lay(500, 200);
        HandDams hand = pond.bean(HandDams.class);
        List<Point> line = List.of(new Point(450 * 5, 200 * 5), new Point(552 * 5, 205 * 5));
        assertThat(hand.draw(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), line, cut -> {}))
                .isTrue();
        assertThat(inOneRegion(500, 150, 500, 250)).isFalse();
        assertThat(worn(500, 150)).isEqualTo(worn(500, 250)).isNotEqualTo(Fill.NONE);
        assertThat(inOneRegion(300, 200, 30, 30)).isFalse();
        say(DamState.OPEN, openingsOf(500, 150));
        assertThat(inOneRegion(500, 150, 500, 250)).isTrue();
        step(false);
        step(false);
        assertThat(inOneRegion(500, 150, 500, 250)).isTrue();
        assertThat(worn(500, 200)).isNotEqualTo(Fill.NONE);
    }

    /** Both sides of the dam wear what they wore, and what was joined stays joined. */
    @Test
    void whatWasDrawnByHandIsDrawnAgainOnANewAnalysis() {
        HandDams hand = pond.bean(HandDams.class);
        hand.draw(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), ACROSS, cut -> {});
        lay(500, 150);
        hand.join(
                pond.bean(Sheets.class).get(work.project(), sheet),
                work.account(),
                List.of(new Point(2500, 1300), new Point(2500, 1600)),
                cut -> {});
        assertThat(inOneRegion(500, 250, 500, 350)).isTrue();

        InkSettings darker = new InkSettings(OptionalInt.of(100), OptionalInt.empty(), Pencil.NONE);
        pond.bean(Recuts.class)
                .reanalyse(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), darker, false);
        assertThat(inOneRegion(500, 150, 500, 250)).isFalse();
        assertThat(worn(500, 150)).isNotEqualTo(Fill.NONE);
        assertThat(worn(500, 250)).isEqualTo(Fill.NONE);
        assertThat(inOneRegion(500, 250, 500, 350)).isTrue();
    }

    /** What somebody opens after an update: nothing is lost, and nobody has to ask for it. */
    @Test
    void aSheetOfAnOlderAnalysisIsAnalysedAgainWithoutLosingAnything() {
        HandDams hand = pond.bean(HandDams.class);
        hand.draw(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), ACROSS, cut -> {});
        lay(500, 150);
        lay(300, 200);
        say(DamState.OPEN, openingsOf(300, 200));
        UUID old = layer().id();
        assertThat(pond.bean(JdbcTemplate.class).update("update layer set analysis_version = 2 where id = ?", old))
                .isEqualTo(1);

        pond.bean(Sharpening.class).now(work.project(), sheet);

        assertThat(layer().id()).isNotEqualTo(old);
        assertThat(layer().isSharp()).isTrue();
        assertThat(inOneRegion(500, 150, 500, 250)).as("the dam by hand").isFalse();
        assertThat(worn(500, 150)).isNotEqualTo(Fill.NONE);
        assertThat(worn(500, 250)).isEqualTo(Fill.NONE);
        assertThat(worn(300, 200)).isNotEqualTo(Fill.NONE);
        assertThat(inOneRegion(300, 200, 30, 30)).as("the gap that was opened").isTrue();
    }

    @Test
    void aLineThatPartsNothingChangesNothing() {
        UUID before = layer().id();
        List<Point> line = List.of(new Point(480 * 5, 200 * 5), new Point(520 * 5, 200 * 5));
        assertThat(pond.bean(HandDams.class)
                        .draw(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), line, cut -> {}))
                .isFalse();
        assertThat(layer().id()).isEqualTo(before);
    }

    /** A desk shows the new cells while they are still being stored, and knows the layer by the id that it will have. */
    @Test
    void whatALineHasCutIsToldBeforeItIsStored() {
        HandDams hand = pond.bean(HandDams.class);
        UUID before = layer().id();
        List<UUID> told = new ArrayList<>();
        hand.draw(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), ACROSS, cut -> {
            assertThat(layer().id()).isEqualTo(before);
            told.add(cut.layer());
        });
        assertThat(told).containsExactly(layer().id());
    }

    /** The second one is drawn into what the first one has left in memory. */
    @Test
    void aDamAfterAnotherIsDrawnIntoWhatIsStored() {
        HandDams hand = pond.bean(HandDams.class);
        hand.expect(pond.bean(Sheets.class).get(work.project(), sheet));
        hand.draw(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), ACROSS, cut -> {});
        hand.draw(
                pond.bean(Sheets.class).get(work.project(), sheet),
                work.account(),
                List.of(new Point(2500, 550), new Point(2505, 1040)),
                cut -> {});
        assertThat(inOneRegion(460, 150, 540, 150)).isFalse();
        assertThat(inOneRegion(460, 150, 500, 250)).isFalse();
        OpenLayers.OpenLayer inMemory = pond.bean(OpenLayers.class).take(layer());
        assertThat(PlaneCodec.encode(inMemory.openings().cells()))
                .isEqualTo(pond.bean(Planes.class).content(layer().cells()));
        assertThat(OpeningsCodec.encode(inMemory.openings()))
                .isEqualTo(pond.bean(Planes.class).content(layer().openings()));
    }

    @Test
    void aLineIsAnsweredWithItsPatchAndThenThatItIsStored() {
        Visitor visitor = Visitor.signedIn(pond, work.person());
        String path = "/projects/" + work.project() + "/sheets/" + sheet;
        assertThat(visitor.post(path + "/dams/expected", "{}").statusCode()).isEqualTo(204);
        String line = "[{\"x\":2250,\"y\":1000},{\"x\":2760,\"y\":1025}]";
        HttpResponse<String> answer = visitor.post(path + "/dams", line);
        assertThat(answer.headers().firstValue("Content-Type")).hasValue("application/x-ndjson");
        assertThat(answer.body().lines())
                .satisfiesExactly(
                        seen -> assertThat(seen)
                                .contains("\"changed\":true", layer().id().toString()),
                        stored -> assertThat(stored).contains("\"stored\":true"));
        assertThat(visitor.post(path + "/dams", line).body())
                .as("again, along the dam")
                .contains("\"changed\":false");
        assertThat(visitor.post(path + "/dams", "[{\"x\":1,\"y\":1}]").statusCode())
                .isEqualTo(400);
        assertThat(visitor.post("/projects/" + work.project() + "/sheets/" + UUID.randomUUID() + "/dams", line)
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void anOpeningThatIsNotThereIsRefused() {
        ChangeRequest request = new ChangeRequest.Dam(
                UUID.randomUUID(), layer().id(), Map.of(9999, DamState.SHUT), OptionalDouble.empty());
        assertThat(changes.make(sheet, work.account(), request)).isInstanceOf(ChangeOutcome.Refused.class);
    }

    private void say(DamState state, Set<Integer> openings) {
        make(new ChangeRequest.Dam(
                UUID.randomUUID(),
                layer().id(),
                openings.stream().collect(Collectors.toMap(opening -> opening, opening -> state)),
                OptionalDouble.empty()));
    }

    /** The openings that bound the region of a place. */
    private Set<Integer> openingsOf(double x, double y) {
        List<Opening> openings = pond.bean(LayerDams.class).openings(layer()).openings();
        List<Integer> cells = sheets.regions(layer()).with(cellAt(x, y));
        return IntStream.range(0, openings.size())
                .filter(i -> cells.contains(openings.get(i).first())
                        != cells.contains(openings.get(i).second()))
                .boxed()
                .collect(Collectors.toSet());
    }

    private void lay(double x, double y) {
        List<Integer> cells = sheets.regions(layer()).with(cellAt(x, y));
        make(new ChangeRequest.Lay(
                UUID.randomUUID(), layer().id(), Fill.flat(work.coat().id()), cells));
    }

    private void step(boolean again) {
        UndoLine<MadeChange> steps = work.line(sheet, work.account());
        UUID concerns = (again ? steps.redoable() : steps.undoable()).get(0).id();
        UUID id = UUID.randomUUID();
        make(again ? new ChangeRequest.Redo(id, concerns) : new ChangeRequest.Undo(id, concerns));
    }

    private void make(ChangeRequest request) {
        assertThat(changes.make(sheet, work.account(), request)).isInstanceOf(ChangeOutcome.Made.class);
    }

    private Layer layer() {
        return sheets.get(work.project(), sheet).layer();
    }

    private Progress progress() {
        return sheets.progress(work.project()).get(sheet);
    }

    private boolean inOneRegion(double x, double y, double x2, double y2) {
        return sheets.regions(layer()).with(cellAt(x, y)).contains(cellAt(x2, y2));
    }

    private int cellAt(double x, double y) {
        CellPlane cells = PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer().cells()));
        return cells.numberAt((int) (x * 5), (int) (y * 5));
    }

    private Fill worn(double x, double y) {
        return sheets.fills(layer()).of(cellAt(x, y));
    }

    @Test
    void aRegionIsDividedEvenlyAndALineIsLedOnToInk() {
        Visitor visitor = Visitor.signedIn(pond, work.person());
        String path = "/projects/" + work.project() + "/sheets/" + sheet;
        Layer layer = sheets.get(work.project(), sheet).layer();
        int cell = PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer.cells()))
                .numberAt(2500, 1000);
        long before = progress().regions();
        String evenly = "{\"cells\":[" + cell
                + "],\"evenly\":\"STRIPS\",\"parts\":4,\"rows\":1,\"degrees\":0,\"x\":2500,\"y\":1000}";

        assertThat(visitor.post(path + "/dams/evenly", evenly).body()).contains("\"stored\":true");
        assertThat(progress().regions()).isEqualTo(before + 3);
        assertThat(visitor.post(path + "/dams/evenly", evenly.replace("STRIPS", "STARS"))
                        .body())
                .contains("spokes, rings");
        assertThat(visitor.post(path + "/dams/evenly", evenly.replace("[" + cell + "]", "[99999]"))
                        .body())
                .contains("Gather the region");
        assertThat(visitor.post(path + "/dams/evenly", evenly.replace("\"x\":2500", "\"x\":1e12"))
                        .body())
                .contains("beside the sheet");
        assertThat(visitor.post(path + "/dams/evenly", evenly.replace(":4,", ":1000,"))
                        .body())
                .contains("not 1000");

        String shortLine = "[{\"x\":1450,\"y\":1300},{\"x\":1500,\"y\":1300}]";
        assertThat(visitor.post(path + "/dams", shortLine).body()).contains("\"changed\":false");
        assertThat(visitor.post(path + "/dams/extended", shortLine).body()).contains("\"stored\":true");
    }
}
