package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.HandDams;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Recuts;
import stillpond.app.sheet.Replacing;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.WornSwatches;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Places;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;
import stillpond.core.stroke.StrokeMap;

/** What strokes of ink wear, over HTTP and in the store. */
class LineColourTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bring(Drawings.threeBoxes());
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final SheetChanges changes = pond.bean(SheetChanges.class);
    private final Sheets sheets = pond.bean(Sheets.class);

    /** In pixels of the sheet: the middle of the left side of each box. */
    private static final int[][] SIDES = {{200, 1000}, {1200, 1000}, {2200, 1000}};

    @Test
    void colouredInkComesOutInEveryPictureAndFlatsStayWithoutInk() {
        work.lay(sheet, work.scarf().id(), 500, 1000);
        assertThat(composed().getRGB(200, 1000)).isEqualTo(0xff000000);

        lay(Fill.flat(work.coat().id()), stroke(0));

        BufferedImage composed = composed();
        assertThat(composed.getRGB(200, 1000)).isEqualTo(0xff2f6f5e);
        assertThat(composed.getRGB(1200, 1000)).as("the next box").isEqualTo(0xff000000);
        assertThat(composed.getRGB(500, 1000)).isEqualTo(0xffd2603f);
        BufferedImage flats = visitor.picture(work.address(sheet) + "/export/flats.png");
        assertThat(flats.getRGB(210, 1000)).isEqualTo(0xffd2603f);
        BufferedImage small = visitor.picture(work.address(sheet) + "/small.png");
        int scale = 3000 / small.getWidth();
        assertThat(greenness(small, 200 / scale, 1000 / scale)).isPositive();
        assertThat(greenness(small, 1200 / scale, 1000 / scale)).isZero();
    }

    @Test
    void itIsTakenBackAndDoneAgainLikeAFill() {
        UUID laid = lay(Fill.flat(work.coat().id()), stroke(0), stroke(1));

        step(new ChangeRequest.Undo(UUID.randomUUID(), laid));
        assertThat(worn(0)).isEqualTo(Fill.NONE);

        step(new ChangeRequest.Redo(UUID.randomUUID(), laid));
        assertThat(worn(0)).isEqualTo(Fill.flat(work.coat().id()));
        assertThat(worn(1)).isEqualTo(Fill.flat(work.coat().id()));
        assertThat(worn(2)).isEqualTo(Fill.NONE);
    }

    @Test
    void inkTakesOneSwatchAlone() {
        String gradient = "linear 100% 0 0 90 0 0% " + work.coat().id() + " 100% "
                + work.scarf().id();
        for (String text : List.of(gradient, "flat 40% " + work.coat().id())) {
            assertThat(make(Fill.ofText(text), stroke(0)))
                    .isInstanceOfSatisfying(
                            ChangeOutcome.Refused.class,
                            refused -> assertThat(refused.reason()).startsWith("Ink and shadows wear one swatch"));
        }
        int strokes = layer().strokes().count();
        assertThat(make(Fill.flat(work.coat().id()), Places.ofStroke(strokes)))
                .isInstanceOfSatisfying(
                        ChangeOutcome.Refused.class,
                        refused -> assertThat(refused.reason()).contains("no such region or stroke"));
    }

    /** Lines are 30 pixels wide. */
    @Test
    void inkIsShownWiderOrNarrowerAndStaysAsItWasDrawn() {
        assertThat(composed().getRGB(175, 1000)).isEqualTo(0xffffffff);
        String ink = layer().ink();
        String small = visitor.get(work.address(sheet) + "/small.png")
                .headers()
                .firstValue("ETag")
                .orElseThrow();
        int width = Places.ofWidth(Places.stroke(stroke(0)));

        lay(new Fill.Width(10), width);
        assertThat(composed().getRGB(175, 1000)).isEqualTo(0xff000000);
        assertThat(composed().getRGB(165, 1000)).isEqualTo(0xffffffff);
        assertThat(composed().getRGB(1175, 1000)).as("another stroke").isEqualTo(0xffffffff);
        assertThat(layer().ink()).isEqualTo(ink);
        assertThat(visitor.get(work.address(sheet) + "/small.png").headers().firstValue("ETag"))
                .isNotEqualTo(Optional.of(small));
        lay(Fill.flat(work.coat().id()), stroke(0));
        assertThat(composed().getRGB(175, 1000)).as("in its colour").isEqualTo(0xff2f6f5e);

        lay(new Fill.Width(-5), width);
        assertThat(composed().getRGB(190, 1000)).isEqualTo(0xffffffff);
        assertThat(composed().getRGB(200, 1000)).isEqualTo(0xff2f6f5e);

        pond.bean(Recuts.class)
                .replace(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        Drawings.threeBoxesLower());
        assertThat(composed().getRGB(190, 1000)).as("on a corrected drawing").isEqualTo(0xffffffff);
        assertThat(sheets.fills(layer()).ofWidths().filled()).hasSize(1);
    }

    @Test
    void onlyInkHasAWidthAndAWidthIsNoColour() {
        int cell = 0;
        int width = Places.ofWidth(Places.stroke(stroke(0)));
        assertThat(make(new Fill.Width(3), cell)).isInstanceOf(ChangeOutcome.Refused.class);
        assertThat(make(new Fill.Width(3), stroke(0))).isInstanceOf(ChangeOutcome.Refused.class);
        assertThat(make(Fill.flat(work.coat().id()), width)).isInstanceOf(ChangeOutcome.Refused.class);
        assertThat(make(new Fill.Width(3), Places.ofWidth(99_999))).isInstanceOf(ChangeOutcome.Refused.class);
        HttpResponse<String> tooWide = visitor.post(
                work.address(sheet) + "/changes",
                "[{\"kind\":\"lay\",\"id\":\"" + UUID.randomUUID() + "\",\"layer\":\"" + layer().id()
                        + "\",\"fills\":{\"width 90\":[" + width + "]}}]");
        assertThat(tooWide.statusCode()).isEqualTo(400);
        assertThat(tooWide.body()).contains("up to 20 wider");
    }

    @Test
    void aDamDrawnByHandLeavesTheInkAsItIs() {
        lay(Fill.flat(work.coat().id()), stroke(0));
        UUID before = layer().id();

        boolean isParted = pond.bean(HandDams.class)
                .draw(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        List.of(new Point(190, 1000), new Point(810, 1000)),
                        cut -> {});

        assertThat(isParted).isTrue();
        assertThat(layer().id()).isNotEqualTo(before);
        assertThat(worn(0)).isEqualTo(Fill.flat(work.coat().id()));
    }

    @Test
    void aCorrectedDrawingKeepsLineColoursAndAStepBackBringsThemBack() {
        UUID laid = lay(Fill.flat(work.coat().id()), stroke(0));
        lay(Fill.flat(work.scarf().id()), stroke(2));
        pond.bean(Recuts.class)
                .replace(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        Drawings.threeBoxesLower());

        assertThat(worn(0)).isEqualTo(Fill.flat(work.coat().id()));
        assertThat(worn(1)).isEqualTo(Fill.NONE);
        assertThat(worn(2)).isEqualTo(Fill.flat(work.scarf().id()));

        step(new ChangeRequest.Undo(UUID.randomUUID(), laid));
        assertThat(worn(0)).as("a step over another cutting").isEqualTo(Fill.NONE);

        pond.bean(Recuts.class)
                .reanalyse(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        new InkSettings(OptionalInt.of(60), OptionalInt.empty(), Pencil.NONE),
                        false);
        assertThat(worn(2)).isEqualTo(Fill.flat(work.scarf().id()));
    }

    @Test
    void replacingASwatchAndTakingItAwayReachInk() {
        lay(Fill.flat(work.coat().id()), stroke(0));

        Replacing.Replaced replaced = pond.bean(Replacing.class)
                .replace(
                        work.project(),
                        List.of(sheets.get(work.project(), sheet.id())),
                        work.account(),
                        Set.of(work.coat().id()),
                        work.scarf().id());
        assertThat(replaced.sheets()).isEqualTo(1);
        assertThat(worn(0)).isEqualTo(Fill.flat(work.scarf().id()));

        pond.bean(TransactionTemplate.class)
                .executeWithoutResult(status ->
                        pond.bean(WornSwatches.class).replace(work.scarf().id(), Optional.empty()));
        assertThat(worn(0)).isEqualTo(Fill.NONE);
    }

    @Test
    void howColoursMeetIsChosenForTheSheetAndCanBeTakenBack() {
        assertThat(visitor.get(work.address(sheet) + "/line-meeting").body()).contains("SOFT");
        assertThat(visitor.post(work.address(sheet) + "/line-meeting", "{\"meeting\":\"HARD\"}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(visitor.get(work.address(sheet) + "/line-meeting").body()).contains("HARD");
        UUID change = work.line(sheet.id(), work.account()).undoable().get(0).id();

        step(new ChangeRequest.Undo(UUID.randomUUID(), change));

        assertThat(visitor.get(work.address(sheet) + "/line-meeting").body()).contains("SOFT");
        assertThat(visitor.post(work.address(sheet) + "/line-meeting", "{\"meeting\":\"ODD\"}")
                        .statusCode())
                .isEqualTo(400);
    }

    @Test
    void theStrokesAreToldWithWhatLiesBesideThem() {
        String strokes = visitor.get(work.address(sheet) + "/strokes").body();
        assertThat(strokes).contains("\"layer\":\"" + layer().id() + "\"", "\"inkPx\":", "\"sides\":[{\"cell\":");
        assertThat(sheets.strokes(layer()))
                .hasSize(3)
                .allSatisfy(stroke -> assertThat(stroke.sides())
                        .hasSize(2)
                        .allSatisfy(side -> assertThat(side.share()).isCloseTo(0.5, within(0.05))));
    }

    @Test
    void inkDrawnInColoursIsTakenOver() {
        Sheet blue = work.bring(Drawings.svg("""
                <g fill="none" stroke-width="6">
                  <rect stroke="#20406a" x="40" y="100" width="120" height="200"/>
                  <rect stroke="#000" x="240" y="100" width="120" height="200"/>
                </g>"""));

        assertThat(visitor.post(work.address(blue) + "/ink-colours", "{}").body())
                .isEqualTo("{\"strokes\":1,\"added\":1}");

        BufferedImage composed = visitor.picture(work.address(blue) + "/export/composed.png");
        assertThat(composed.getRGB(200, 1000)).isEqualTo(0xff20406a);
        assertThat(composed.getRGB(1200, 1000)).isEqualTo(0xff000000);
        assertThat(visitor.get("/projects/" + work.project() + "/ledger").body())
                .contains("From boxes", "1 stroke");
        HttpResponse<String> black = visitor.post(work.address(sheet) + "/ink-colours", "{}");
        assertThat(black.statusCode()).isEqualTo(400);
        assertThat(black.body()).contains("drawn in black alone");
    }

    @Test
    void carryBringsLineColoursAlong() {
        work.lay(sheet, work.scarf().id(), 500, 1000);
        lay(Fill.flat(work.coat().id()), stroke(0));
        Sheet other = work.bring(Drawings.threeBoxesLower());
        work.lay(other, work.scarf().id(), 500, 1000);

        String laid = visitor.post(
                        work.address(other) + "/carry/sure",
                        "{\"sources\":[\"" + sheet.id() + "\"],\"overFilled\":false}")
                .body();

        assertThat(laid).contains("\"strokes\":1");
        assertThat(visitor.picture(work.address(other) + "/export/composed.png").getRGB(200, 1000))
                .isEqualTo(0xff2f6f5e);
    }

    @Test
    void aSwatchOnInkIsFoundAndChecked() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, work.coat().id(), 1500, 150);
        lay(Fill.flat(work.scarf().id()), stroke(0), stroke(1));

        assertThat(visitor.get("/projects/" + work.project() + "/find?swatch="
                                + work.scarf().id())
                        .body())
                .contains("2 strokes");
        assertThat(visitor.get(work.address(sheet) + "/check").body())
                .contains("A line lighter than its sides", "data-places=\"" + stroke(0) + "\"");
    }

    private ChangeOutcome make(Fill fill, Integer... places) {
        return changes.make(
                sheet.id(),
                work.account(),
                new ChangeRequest.Lay(UUID.randomUUID(), layer().id(), fill, List.of(places)));
    }

    private UUID lay(Fill fill, Integer... places) {
        return ((ChangeOutcome.Made) make(fill, places)).change().id();
    }

    private void step(ChangeRequest step) {
        assertThat(changes.make(sheet.id(), work.account(), step)).isInstanceOf(ChangeOutcome.Made.class);
    }

    private Layer layer() {
        return sheets.get(work.project(), sheet.id()).layer();
    }

    /** The stroke around a box, as a place. */
    private int stroke(int box) {
        Layer layer = layer();
        StrokeMap map = PlaneCodec.decodeStrokes(
                pond.bean(Planes.class).content(layer.strokes().plane()), layer.widthPx(), layer.heightPx());
        return Places.ofStroke(map.strokeAt(SIDES[box][0], SIDES[box][1]));
    }

    private Fill worn(int box) {
        return sheets.fills(layer()).of(stroke(box));
    }

    private BufferedImage composed() {
        return visitor.picture(work.address(sheet) + "/export/composed.png");
    }

    /** By how much a pixel is greener than red. */
    private static int greenness(BufferedImage picture, int x, int y) {
        int argb = picture.getRGB(x, y);
        return (argb >> 8 & 0xff) - (argb >> 16 & 0xff);
    }
}
