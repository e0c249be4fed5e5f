package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;
import stillpond.core.stack.Standing;

/**
 * Layers over HTTP and in the store. A box of 40 to 360 by 60 to 340 lies at the back, a smaller one of 100 to 200 by 100 to 300 in front of it; places are
 * pixels of the sheet, which is 600 x 400 and drawn 5 pixels a unit.
 */
class LayersTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int WHITE = 0xffffff;

    private static final byte[] TWO_LAYERS = Drawings.svg("""
            <g id="Back" fill="none" stroke="#000" stroke-width="4"><rect x="40" y="60" width="320" height="280"/></g>
            <g id="Front" fill="none" stroke="#000" stroke-width="4"><rect x="100" y="100" width="100" height="200"/></g>""");

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final Sheet sheet = bring("two.svg", TWO_LAYERS);

    @Test
    void theGroupsOfAnSvgBecomeLayersAndWhatTheFrontOneFillsHidesWhatLiesBehind() {
        assertThat(sheet.layers()).extracting(layer -> layer.standing().name()).containsExactly("Front", "Back");
        lay("Back", work.coat().id(), 300, 1000);
        assertThat(rgb(composed(), 750, 1000))
                .as("an empty region in front is a window")
                .isEqualTo(COAT);
        assertThat(rgb(composed(), 500, 1000)).as("ink of the front").isZero();

        lay("Front", work.scarf().id(), 750, 1000);
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(SCARF);
        assertThat(rgb(composed(), 300, 1000)).isEqualTo(COAT);
        BufferedImage flats = visitor.picture(address() + "/export/flats.png");
        assertThat(flats.getRGB(750, 1000)).isEqualTo(0xff000000 | SCARF);
        assertThat(flats.getRGB(500, 1000)).as("no ink on the flats").isEqualTo(0xff000000 | SCARF);
        assertThat(flats.getRGB(300, 1000)).isEqualTo(0xff000000 | COAT);
        assertThat(flats.getRGB(50, 50) >>> 24).isZero();
        BufferedImage small = visitor.picture(address() + "/small.png");
        int scale = 3000 / small.getWidth();
        assertThat(rgb(small, 750 / scale, 1000 / scale)).isEqualTo(SCARF);
    }

    @Test
    void layersAreHiddenMadeFaintMovedAndOrderedAndEachIsTakenBack() {
        lay("Back", work.coat().id(), 300, 1000);
        lay("Front", work.scarf().id(), 750, 1000);
        act("Front", "HIDE");
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(COAT);
        act("Front", "SHOW");
        act("Front", "OPACITY", "percent", "50");
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(mean(COAT, SCARF));
        act("Front", "MOVE", "x", "1000", "y", "-100");
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(COAT);
        assertThat(rgb(composed(), 1750, 900)).isEqualTo(mean(COAT, SCARF));
        act("Front", "BACK");
        assertThat(rgb(composed(), 1700, 900)).as("behind the coat").isEqualTo(COAT);
        assertThat(names()).containsExactly("Back", "Front");

        undo();
        assertThat(rgb(composed(), 1750, 900)).isEqualTo(mean(COAT, SCARF));
        undo();
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(mean(COAT, SCARF));
        undo();
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(SCARF);
        undo();
        undo();
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(SCARF);
    }

    @Test
    void aLayerThatWasTakenOutComesBackWithItsFillsAndAnEarlierMomentShowsIt() {
        lay("Front", work.scarf().id(), 750, 1000);
        Instant then = Instant.now();
        act("Front", "REMOVE");
        assertThat(names()).containsExactly("Back");
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(WHITE);
        assertThat(list("Back").body()).contains("Work on Back").doesNotContain("×");
        assertThat(act("Back", "REMOVE").body()).contains("only layer of the sheet");
        BufferedImage past = visitor.picture(
                address() + "/small.png?at=" + URLEncoder.encode(then.toString(), StandardCharsets.UTF_8));
        int scale = 3000 / past.getWidth();
        assertThat(rgb(past, 750 / scale, 1000 / scale)).isEqualTo(SCARF);

        undo();
        assertThat(names()).containsExactly("Front", "Back");
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(SCARF);
    }

    @Test
    void nothingOnALockedLayerIsChanged() {
        act("Front", "LOCK");
        HttpResponse<String> answer = visitor.post(
                address() + "/changes", layMessage("Front", work.scarf().id(), 750, 1000));
        assertThat(answer.body()).contains("refused").contains("'Front' is locked");
        assertThat(visitor.post(address() + "/ink?layer=" + id("Front"), "{\"pencil\":\"NONE\"}")
                        .body())
                .contains("'Front' is locked");
        assertThat(visitor.post(
                                address() + "/dams?layer=" + id("Front"),
                                "[{\"x\":600,\"y\":500},{\"x\":900,\"y\":1500}]")
                        .body())
                .contains("locked");
        assertThat(fills("Front").filled()).isEmpty();
        lay("Back", work.coat().id(), 300, 1000);
        assertThat(rgb(composed(), 300, 1000)).isEqualTo(COAT);
    }

    @Test
    void aFileIsAddedInFrontInTheMiddleOfThePageIfItIsSmaller() {
        byte[] ring = Drawings.png(1000, 1000, pen -> {
            pen.setColor(Color.BLACK);
            pen.setStroke(new BasicStroke(40));
            pen.drawOval(200, 200, 600, 600);
        });
        HttpResponse<String> answer = visitor.upload(address() + "/layers", "Lantern.png", ring);
        assertThat(answer.body()).contains("Lantern");
        assertThat(names()).containsExactly("Lantern", "Front", "Back");
        assertThat(present().layers().get(0).widthPx()).isEqualTo(3000);
        assertThat(rgb(composed(), 1500, 700)).as("the upper edge of the ring").isZero();
        lay("Lantern", work.scarf().id(), 1500, 1000);
        assertThat(rgb(composed(), 1500, 1000)).isEqualTo(SCARF);

        byte[] large = Drawings.png(4000, 100, pen -> pen.drawRect(10, 10, 300, 50));
        assertThat(visitor.upload(address() + "/layers", "wide.png", large).body())
                .contains("but not larger");
        assertThat(visitor.upload(address() + "/layers", "none.png", new byte[] {1, 2, 3})
                        .body())
                .contains("not a picture");
        assertThat(names()).hasSize(3);
        undo();
        undo();
        assertThat(names()).containsExactly("Front", "Back");
    }

    @Test
    void filesOfDifferentSizesBecomeOneSheetAndOneThatIsBrokenKeepsAllOut() {
        byte[] small = Drawings.png(200, 100, pen -> frame(pen, 200, 100));
        byte[] large = Drawings.png(400, 300, pen -> frame(pen, 400, 300));
        byte[] empty = Drawings.png(100, 100, pen -> {});
        LineArtFile front = LineArtFile.of("a.png", small);
        Sheets.Brought brought = pond.bean(SheetLayers.class)
                .bring(
                        work.project(),
                        work.scene(),
                        List.of(front, LineArtFile.of("b.png", large), LineArtFile.of("c.png", empty)));
        assertThat(brought.sheet().widthPx()).isEqualTo(400);
        assertThat(brought.sheet().layers())
                .extracting(layer -> layer.standing().name() + " " + layer.widthPx())
                .containsExactly("a 400", "b 400");
        assertThat(brought.leftOut()).containsExactly("the layer 'c', which is empty or all ink");

        long before = sheetCount();
        HttpResponse<String> broken = visitor.upload(
                "/projects/" + work.project() + "/scenes/" + work.scene() + "/layered-sheets",
                "torn.svg",
                "<svg xmlns=\"http://www.w3.org/2000/svg\"><g>".getBytes(StandardCharsets.UTF_8));
        assertThat(broken.statusCode()).isEqualTo(422);
        String sixty = "<g><rect width=\"50\" height=\"50\"/></g>".repeat(60);
        HttpResponse<String> many = visitor.upload(
                "/projects/" + work.project() + "/scenes/" + work.scene() + "/layered-sheets",
                "many.svg",
                Drawings.svg(sixty));
        assertThat(many.body()).contains("60 layers").contains("up to 24");
        assertThat(sheetCount()).isEqualTo(before);
    }

    @Test
    void allThatLiesAtAPlaceIsToldAndWhatOthersWearIsCounted() {
        lay("Back", work.coat().id(), 300, 1000);
        act("Front", "MOVE", "x", "50", "y", "0");
        String here = visitor.get(address() + "/layers/here?layer=" + id("Front") + "&x=700&y=1000")
                .body();
        assertThat(here).containsSubsequence("Front", "empty", "Back", "Coat");
        String beside = visitor.get(address() + "/layers/here?layer=" + id("Front") + "&x=-700&y=1000")
                .body();
        assertThat(beside).doesNotContain("Coat");

        String state = visitor.get(address() + "/desk?layer=" + id("Front")).body();
        assertThat(state)
                .contains("\"elsewhere\":[{\"standing\":\"" + id("Back") + "\",\"layer\":\"Back\",\"fill\":\""
                        + work.coat().id())
                .contains("\"leftElsewhere\":1");
        Progress progress = pond.bean(Sheets.class).progress(work.project()).get(sheet.id());
        assertThat(progress.filledRegions()).isEqualTo(1);
        assertThat(progress.regions()).isEqualTo(4);
        assertThat(visitor.get(address() + "/check").body())
                .as("what is missed here, and how much on the other layer")
                .contains("No fill yet", "1 on the layer Back");
    }

    @Test
    void aLayerCutAlongAllVisibleInkHasTheRegionsOfAllAndKeepsItsFills() {
        lay("Back", work.coat().id(), 300, 1000);
        int regions = pond.bean(Sheets.class).regions(layer("Back")).count();
        HttpResponse<String> cut =
                visitor.post(address() + "/ink?layer=" + id("Back"), "{\"pencil\":\"NONE\",\"isThrough\":true}");
        assertThat(cut.statusCode()).isEqualTo(200);
        assertThat(pond.bean(Sheets.class).regions(layer("Back")).count()).isEqualTo(regions + 1);
        lay("Back", work.scarf().id(), 750, 1000);
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(SCARF);
        assertThat(rgb(composed(), 300, 1000)).isEqualTo(COAT);
        assertThat(fills("Front").filled()).as("every fill belongs to a layer").isEmpty();

        undo();
        undo();
        assertThat(pond.bean(Sheets.class).regions(layer("Back")).count()).isEqualTo(regions);
        assertThat(rgb(composed(), 750, 1000)).isEqualTo(COAT);
    }

    @Test
    void whatIsGatheredBecomesALayerOfItsOwnWithItsInkAndFills() {
        Sheet boxes = pond.bean(Sharpening.class)
                .now(
                        work.project(),
                        pond.bean(Sheets.class)
                                .bring(work.project(), work.scene(), LineArtFile.of("boxes.svg", Drawings.threeBoxes()))
                                .sheet()
                                .id());
        work.lay(boxes, work.coat().id(), 500, 1000);
        work.lay(boxes, work.scarf().id(), 1500, 1000);
        BufferedImage before = visitor.picture(work.address(boxes) + "/export/composed.png");
        Layer whole = boxes.layer();
        int cell = PlaneCodec.cellAt(pond.bean(Planes.class).content(whole.cells()), 500, 1000);
        HttpResponse<String> answer = visitor.post(
                work.address(boxes) + "/layers/split", "{\"name\":\"First box\",\"cells\":[" + cell + "]}");
        assertThat(answer.statusCode()).isEqualTo(200);

        Sheet after = pond.bean(Sheets.class).get(work.project(), boxes.id());
        assertThat(after.layers())
                .extracting(layer -> layer.standing().name())
                .containsExactly("First box", "Line art");
        BufferedImage split = visitor.picture(work.address(boxes) + "/export/composed.png");
        assertThat(rgb(split, 500, 1000)).isEqualTo(COAT);
        assertThat(rgb(split, 1500, 1000)).isEqualTo(SCARF);
        assertThat(rgb(split, 200, 1000)).as("ink").isEqualTo(rgb(before, 200, 1000));
        assertThat(fillAt(after.layers().get(0), 500, 1000))
                .isEqualTo(Fill.flat(work.coat().id()));
        assertThat(fillAt(after.layers().get(1), 500, 1000)).isEqualTo(Fill.NONE);
        assertThat(fillAt(after.layers().get(1), 1500, 1000))
                .isEqualTo(Fill.flat(work.scarf().id()));
        assertThat(pond.bean(Sheets.class).regions(after.layers().get(1)).count())
                .as("the box is gone from the back")
                .isEqualTo(3);

        undo(boxes);
        Sheet back = pond.bean(Sheets.class).get(work.project(), boxes.id());
        assertThat(back.layers()).hasSize(1);
        assertThat(back.layer().id()).isEqualTo(whole.id());
        assertThat(fillAt(back.layer(), 500, 1000))
                .isEqualTo(Fill.flat(work.coat().id()));
        redo(boxes);
        assertThat(rgb(visitor.picture(work.address(boxes) + "/export/composed.png"), 500, 1000))
                .isEqualTo(COAT);
    }

    @Test
    void partsAreComparedOnAllLayers() {
        lay("Back", work.coat().id(), 300, 1000);
        lay("Front", work.scarf().id(), 750, 1000);
        String page = visitor.get("/projects/" + work.project() + "/compare").body();
        assertThat(page).contains("?layer=" + id("Back") + "#cell=").contains("?layer=" + id("Front") + "#cell=");
    }

    @Test
    void aCopyHasLayersOfItsOwn() {
        lay("Front", work.scarf().id(), 750, 1000);
        UUID copy = pond.bean(SheetOrder.class).copy(work.project(), sheet.id());
        act("Front", "REMOVE");
        Sheet copied = pond.bean(Sheets.class).get(work.project(), copy);
        assertThat(copied.layers()).hasSize(2);
        assertThat(rgb(visitor.picture(work.address(copied) + "/export/composed.png"), 750, 1000))
                .isEqualTo(SCARF);
    }

    @Test
    void aLayerOfAnotherSheetIsNotHere() {
        Sheet other = bring("other.svg", Drawings.threeBoxes());
        UUID theirs = other.layer().standing().layer();
        assertThat(visitor.get(address() + "?layer=" + theirs).statusCode()).isEqualTo(404);
        assertThat(visitor.get(address() + "/layers/alone.png?layer=" + theirs).statusCode())
                .isEqualTo(404);
        HttpResponse<String> answer = visitor.submit(
                address() + "/layers/change?layer=" + id("Front"), "of", theirs.toString(), "act", "HIDE");
        assertThat(answer.body()).contains("not there any more");
    }

    private static void frame(java.awt.Graphics2D pen, int width, int height) {
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(4));
        pen.drawRect(10, 10, width - 20, height - 20);
    }

    private Sheet bring(String name, byte[] file) {
        Sheet brought = pond.bean(SheetLayers.class)
                .bring(work.project(), work.scene(), List.of(LineArtFile.of(name, file)))
                .sheet();
        return pond.bean(Sharpening.class).now(work.project(), brought.id());
    }

    private long sheetCount() {
        return pond.bean(Sheets.class).inProject(work.project()).size();
    }

    private String address() {
        return work.address(sheet);
    }

    private Sheet present() {
        return pond.bean(Sheets.class).get(work.project(), sheet.id());
    }

    private List<String> names() {
        return present().stack().layers().stream().map(Standing::name).toList();
    }

    private Layer layer(String name) {
        return present().layers().stream()
                .filter(each -> each.standing().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private UUID id(String name) {
        return layer(name).standing().layer();
    }

    private stillpond.core.fill.Fills fills(String name) {
        return pond.bean(Sheets.class).fills(layer(name));
    }

    private Fill fillAt(Layer layer, int x, int y) {
        int cell = PlaneCodec.cellAt(pond.bean(Planes.class).content(layer.cells()), x, y);
        return pond.bean(Sheets.class).fills(layer).of(cell);
    }

    private String layMessage(String layer, UUID swatch, int x, int y) {
        Layer on = layer(layer);
        int cell = PlaneCodec.cellAt(pond.bean(Planes.class).content(on.cells()), x, y);
        List<Integer> cells = pond.bean(Sheets.class).regions(on).with(cell);
        return "[{\"kind\":\"lay\",\"id\":\"" + UUID.randomUUID() + "\",\"layer\":\"" + on.id() + "\",\"fills\":{\""
                + swatch + "\":" + cells + "}}]";
    }

    private void lay(String layer, UUID swatch, int x, int y) {
        assertThat(visitor.post(address() + "/changes", layMessage(layer, swatch, x, y))
                        .body())
                .contains("made");
    }

    private HttpResponse<String> list(String layer) {
        return visitor.get(address() + "/layers?layer=" + id(layer));
    }

    private HttpResponse<String> act(String layer, String act, String... more) {
        String[] fields = new String[4 + more.length];
        fields[0] = "of";
        fields[1] = id(layer).toString();
        fields[2] = "act";
        fields[3] = act;
        System.arraycopy(more, 0, fields, 4, more.length);
        HttpResponse<String> answer = visitor.submit(address() + "/layers/change", fields);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer;
    }

    private void undo() {
        undo(sheet);
    }

    private void undo(Sheet on) {
        step(on, "undo", work.line(on.id(), work.account()).undoable().get(0).id());
    }

    private void redo(Sheet on) {
        step(on, "redo", work.line(on.id(), work.account()).redoable().get(0).id());
    }

    private void step(Sheet on, String kind, UUID change) {
        String message =
                "[{\"kind\":\"" + kind + "\",\"id\":\"" + UUID.randomUUID() + "\",\"concerns\":\"" + change + "\"}]";
        assertThat(visitor.post(work.address(on) + "/changes", message).body()).contains("made");
    }

    private BufferedImage composed() {
        return visitor.picture(address() + "/export/composed.png");
    }

    private static int rgb(BufferedImage picture, int x, int y) {
        return picture.getRGB(x, y) & 0xffffff;
    }

    private static int mean(int a, int b) {
        int mean = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            double front = 128 / 255.0;
            long channel = Math.round((b >> shift & 0xff) * front + (a >> shift & 0xff) * (1 - front));
            mean |= (int) channel << shift;
        }
        return mean;
    }
}
