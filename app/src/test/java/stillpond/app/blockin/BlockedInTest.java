package stillpond.app.blockin;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.LayerShapes;
import stillpond.app.sheet.Progress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Places;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Sheets without line art, over HTTP and in the store. The page is 300 x 200 pixels; a square stands on its left, a disc on its right. */
class BlockedInTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final String SQUARE = "1: 20,20! 120,20! 120,120! 20,120!";
    private static final String DISC =
            "2: 200,20~-33.1,0~33.1,0 260,80~0,-33.1~0,33.1 200,140~33.1,0~-33.1,0 140,80~0,33.1~0,-33.1";

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final JsonMapper json = JsonMapper.shared();
    private final Sheets sheets = pond.bean(Sheets.class);

    private Sheet blank() {
        HttpResponse<String> made = begin("widthMm", "38.1", "heightMm", "25.4", "marginMm", "0");
        assertThat(made.statusCode()).isEqualTo(302);
        String location = made.headers().firstValue("Location").orElseThrow();
        return sheets.get(work.project(), UUID.fromString(location.substring(location.lastIndexOf('/') + 1)));
    }

    private HttpResponse<String> begin(String... fields) {
        return visitor.send(
                "/projects/" + work.project() + "/block-in",
                Visitor.form("scene", work.scene().toString(), "title", "The marsh", "pixelsPerInch", "200") + "&"
                        + Visitor.form(fields));
    }

    private Sheet now(Sheet sheet) {
        return sheets.get(work.project(), sheet.id());
    }

    private HttpResponse<String> change(Sheet sheet, List<String> put, List<Integer> order) {
        return change(sheet, put, order, Map.of());
    }

    private HttpResponse<String> change(
            Sheet sheet, List<String> put, List<Integer> order, Map<String, Object> besides) {
        Map<String, Object> message = new HashMap<>(Map.of(
                "layer",
                now(sheet).layer().id(),
                "becomes",
                UUID.randomUUID(),
                "words",
                "Drew shapes",
                "put",
                put,
                "order",
                order,
                "lines",
                List.of(),
                "like",
                Map.of(),
                "wears",
                Map.of()));
        message.putAll(besides);
        return visitor.post(work.address(sheet) + "/shapes", json.writeValueAsString(message));
    }

    private Sheet blockedIn() {
        Sheet sheet = blank();
        assertThat(change(
                                sheet,
                                List.of(SQUARE, DISC),
                                List.of(1, 2),
                                Map.of("wears", Map.of("1", coat(), "2", scarf())))
                        .statusCode())
                .isEqualTo(204);
        return now(sheet);
    }

    private String coat() {
        return work.coat().id().toString();
    }

    private String scarf() {
        return work.scarf().id().toString();
    }

    private int flat(Sheet sheet, int x, int y) {
        return visitor.picture(work.address(sheet) + "/export/flats.png").getRGB(x, y) & 0xffffff;
    }

    private void undo(Sheet sheet) {
        UUID last = work.line(sheet.id(), work.account()).undoable().get(0).id();
        visitor.post(
                work.address(sheet) + "/changes",
                "[{\"kind\":\"undo\",\"id\":\"" + UUID.randomUUID() + "\",\"concerns\":\"" + last + "\"}]");
    }

    @Test
    void aBlankSheetHasTheSizeResolutionAndFrameThatWereAskedFor() {
        HttpResponse<String> made = begin("size", "A5", "wide", "true", "marginMm", "10");
        String location = made.headers().firstValue("Location").orElseThrow();
        Sheet sheet = sheets.get(work.project(), UUID.fromString(location.substring(location.lastIndexOf('/') + 1)));

        assertThat(sheet.widthPx()).isEqualTo(1654);
        assertThat(sheet.heightPx()).isEqualTo(1165);
        assertThat(visitor.get(work.address(sheet) + "/frame").body()).contains("79");
        assertThat(visitor.get(work.address(sheet)).statusCode()).isEqualTo(200);
        assertThat(visitor.get("/projects/" + work.project() + "/block-in").body())
                .contains("Block in a sheet");
    }

    @Test
    void whatCannotBeAPageIsRefusedInWords() {
        assertThat(begin("widthMm", "4000", "heightMm", "4000").body()).contains("40 megapixels");
        assertThat(begin("widthMm", "1", "heightMm", "1").body()).contains("64 pixels");
        assertThat(begin("size", "A5", "marginMm", "90").body()).contains("margin");
        assertThat(sheets.inProject(work.project())).isEmpty();
    }

    @Test
    void shapesMakeTheColoursThatTheyWear() {
        Sheet sheet = blockedIn();

        assertThat(flat(sheet, 70, 70)).isEqualTo(COAT);
        assertThat(flat(sheet, 200, 80)).isEqualTo(SCARF);
        assertThat(flat(sheet, 130, 170)).as("clear").isZero();
        Progress progress = sheets.progress(work.project()).get(sheet.id());
        assertThat(progress.left()).isEqualTo(1);
        assertThat(progress.regions()).isEqualTo(3);
    }

    @Test
    void theDeskReadsTheShapesAsTheyAreStored() {
        Sheet sheet = blockedIn();
        String desk = visitor.get(work.address(sheet) + "/desk").body();
        String shapes = json.readTree(desk).get("layer").get("shapes").asString();

        assertThat(visitor.get(shapes).body()).startsWith(SQUARE + "\n2: 200,20");
        Sheet other = blank();
        assertThat(visitor.get(shapes.replace(sheet.id().toString(), other.id().toString()))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aShapeEditedLaterKeepsItsFillAndUndoBringsItBack() {
        Sheet sheet = blockedIn();
        change(sheet, List.of(SQUARE.replace("20", "10")), List.of(2, 1));

        assertThat(flat(sheet, 14, 14)).isEqualTo(COAT);
        undo(sheet);
        assertThat(flat(sheet, 14, 14)).as("clear again").isZero();
        assertThat(flat(sheet, 70, 70)).isEqualTo(COAT);
    }

    @Test
    void aShapeKeepsItsFillWhereNothingOfItIsSeen() {
        Sheet sheet = blockedIn();
        change(sheet, List.of("3: 0,0! 300,0! 300,200! 0,200!"), List.of(1, 2, 3));

        assertThat(sheets.progress(work.project()).get(sheet.id()).regions()).isEqualTo(1);
        assertThat(visitor.get(work.address(sheet) + "/check").body())
                .as("only the new shape is missed")
                .containsOnlyOnce("class=\"place-row\"");
        change(sheet, List.of(), List.of(3, 1, 2));
        assertThat(flat(sheet, 70, 70)).isEqualTo(COAT);
    }

    @Test
    void aShapeThatIsGoneTakesItsFillWithIt() {
        Sheet sheet = blockedIn();
        change(sheet, List.of(), List.of(2));
        change(sheet, List.of(SQUARE), List.of(2, 1));

        assertThat(sheets.fills(now(sheet).layer()).of(1)).isEqualTo(Fill.NONE);
        undo(sheet);
        undo(sheet);
        assertThat(flat(sheet, 70, 70)).isEqualTo(COAT);
    }

    @Test
    void partsWearWhatTheWholeWore() {
        Sheet sheet = blockedIn();
        change(
                sheet,
                List.of("1: 20,20! 70,20! 70,120! 20,120!", "3: 70,20! 120,20! 120,120! 70,120!"),
                List.of(1, 3, 2),
                Map.of("like", Map.of("3", 1)));

        assertThat(flat(sheet, 30, 70)).isEqualTo(COAT);
        assertThat(flat(sheet, 110, 70)).isEqualTo(COAT);
    }

    @Test
    void anOutlineIsInkThatMayWearASwatch() {
        Sheet sheet = blockedIn();
        change(sheet, List.of(SQUARE.replace("1:", "1 w8:")), List.of(1, 2));
        BufferedImage black = visitor.picture(work.address(sheet) + "/export/composed.png");
        visitor.post(
                work.address(sheet) + "/changes",
                "[{\"kind\":\"lay\",\"id\":\"" + UUID.randomUUID() + "\",\"layer\":\""
                        + now(sheet).layer().id() + "\",\"fills\":{\"" + scarf() + "\":["
                        + Places.ofStroke(1) + "]}}]");
        BufferedImage coloured = visitor.picture(work.address(sheet) + "/export/composed.png");

        assertThat(black.getRGB(20, 70) & 0xffffff).isZero();
        assertThat(black.getRGB(40, 70) & 0xffffff).isEqualTo(COAT);
        assertThat(coloured.getRGB(20, 70) & 0xffffff).isEqualTo(SCARF);
    }

    @Test
    void everyWayOutTakesItAsLineArt() {
        Sheet sheet = blockedIn();
        String export = work.address(sheet) + "/export/";

        assertThat(visitor.get(export + "shapes.svg").body()).contains("#2f6f5e");
        for (String file : List.of("layers.ora", "plates.zip", "masks.zip", "proof.pdf", "shadows.png")) {
            assertThat(visitor.get(export + file).statusCode()).as(file).isEqualTo(200);
        }
        assertThat(visitor.get(work.address(sheet) + "/carry/sources").statusCode())
                .isEqualTo(200);
        assertThat(visitor.get("/projects/" + work.project() + "/compare").statusCode())
                .isEqualTo(200);
        assertThat(visitor.get("/projects/" + work.project() + "/ledger").body())
                .contains("Coat");
    }

    @Test
    void badShapesAreRefusedAndNothingIsLost() {
        Sheet sheet = blockedIn();

        assertThat(change(sheet, List.of("3: 1,1! 50,50! 90,90!"), List.of(1, 2, 3))
                        .body())
                .contains("covers nothing");
        assertThat(change(sheet, List.of(SQUARE.replace("1:", "3:")), List.of(1, 2, 3))
                        .body())
                .contains("exactly like this");
        List<Integer> many = IntStream.rangeClosed(1, 2001).boxed().toList();
        assertThat(change(sheet, List.of(), many).statusCode()).isEqualTo(400);
        assertThat(change(sheet, List.of("nonsense"), List.of(1, 2)).statusCode())
                .isEqualTo(400);
        assertThat(change(sheet, List.of(), List.of(1, 1)).statusCode()).isEqualTo(400);
        assertThat(change(sheet, List.of(), List.of(1, 2), Map.of("wears", Map.of("1", scarf())))
                        .body())
                .contains("Only new shapes");
        assertThat(change(
                                sheet,
                                List.of("3: 1,1! 9,9! 9,1!"),
                                List.of(1, 2, 3),
                                Map.of("wears", Map.of("3", UUID.randomUUID().toString())))
                        .statusCode())
                .isEqualTo(400);
        assertThat(change(sheet, List.of(), List.of(1), Map.of("layer", UUID.randomUUID()))
                        .statusCode())
                .isEqualTo(400);
        assertThat(change(
                                sheet,
                                List.of(),
                                List.of(1),
                                Map.of("becomes", sheet.layer().id()))
                        .statusCode())
                .isEqualTo(400);
        assertThat(pond.bean(LayerShapes.class).of(now(sheet).layer()).all()).hasSize(2);
        assertThat(flat(sheet, 70, 70)).isEqualTo(COAT);
    }

    @Test
    void whatIsDoneToLineArtIsRefusedOnShapes() {
        Sheet sheet = blockedIn();

        assertThat(visitor.post(work.address(sheet) + "/dams", "[{\"x\":0,\"y\":70},{\"x\":290,\"y\":70}]")
                        .body())
                .contains("made of shapes");
        assertThat(visitor.upload(work.address(sheet) + "/line-art", "boxes.svg", Drawings.threeBoxes())
                        .body())
                .contains("made of shapes");
        Sheet inked = work.bringSmall(Drawings.threeBoxes());
        assertThat(change(inked, List.of(SQUARE), List.of(1)).body()).contains("line art");
    }

    @Test
    void shapesGoOverOrUnderAnInkedSheet() {
        Sheet inked = work.bringSmall(Drawings.threeBoxes());
        visitor.post(work.address(inked) + "/layers/shapes?under=true", "");

        Sheet both = now(inked);
        assertThat(both.layers()).hasSize(2);
        assertThat(both.layers().get(1).isBlockedIn()).isTrue();
        UUID shapes = both.layers().get(1).standing().layer();
        Map<String, Object> message = Map.of(
                "layer",
                both.layers().get(1).id(),
                "becomes",
                UUID.randomUUID(),
                "words",
                "Drew",
                "put",
                List.of("1: 0,0! 300,0! 300,200! 0,200!"),
                "order",
                List.of(1),
                "lines",
                List.of(),
                "like",
                Map.of(),
                "wears",
                Map.of("1", coat()));
        assertThat(visitor.post(work.address(inked) + "/shapes?layer=" + shapes, json.writeValueAsString(message))
                        .statusCode())
                .isEqualTo(204);
        assertThat(visitor.picture(work.address(inked) + "/export/composed.png").getRGB(150, 30) & 0xffffff)
                .isEqualTo(COAT);
        undo(inked);
        undo(inked);
        assertThat(now(inked).layers()).hasSize(1);
    }

    private static byte[] flag() {
        return Drawings.png(300, 200, pen -> {
            pen.setColor(new Color(0x9cc4dd));
            pen.fillRect(0, 0, 300, 200);
            pen.setColor(new Color(0x5b7a4a));
            pen.fillRect(0, 120, 300, 80);
        });
    }

    @Test
    void aReferenceLiesOnTheSheetAndIsExportedOnlyWhereThatIsAskedFor() {
        Sheet sheet = blockedIn();
        byte[] before = visitor.download(work.address(sheet) + "/export/composed.png");
        JsonNode laid = json.readTree(visitor.upload(work.address(sheet) + "/reference/file", "marsh.png", flag())
                        .body())
                .get("laid");

        assertThat(laid.get("reference").get("x").asDouble()).isEqualTo(150);
        assertThat(visitor.download(laid.get("content").asString())).isNotEmpty();
        assertThat(visitor.download(work.address(sheet) + "/export/composed.png"))
                .isEqualTo(before);
        assertThat(visitor.get(work.address(sheet) + "/hand-on").body()).contains("name=\"reference\"");
        BufferedImage asked = visitor.picture(work.address(sheet) + "/export/composed.png?reference=true");
        // 60 % of the flag's green over white paper.
        assertThat(asked.getRGB(150, 190) & 0xffffff).isEqualTo(0x9daf92);

        String moved = laid.get("reference").toString().replace("150.0", "90.0");
        assertThat(visitor.post(work.address(sheet) + "/reference", moved).body())
                .contains("90.0");
        undo(sheet);
        assertThat(visitor.get(work.address(sheet) + "/reference").body()).contains("150.0");
        undo(sheet);
        assertThat(json.readTree(visitor.get(work.address(sheet) + "/reference").body())
                        .get("laid")
                        .isNull())
                .isTrue();
    }

    @Test
    void shapesAreSuggestedWhereThePictureLies() {
        Sheet sheet = blank();
        String ask = work.address(sheet) + "/reference/shapes?detail=0.2&count=";
        assertThat(visitor.get(ask + "2").body()).contains("No reference picture");
        visitor.upload(work.address(sheet) + "/reference/file", "marsh.png", flag());

        JsonNode two = json.readTree(visitor.get(ask + "2").body());
        assertThat(two).hasSize(2);
        assertThat(two.get(0).get("colour").asString()).isEqualTo("#9cc4dd");
        assertThat(two.get(0).get("shape").asString()).contains("300,120");
        change(sheet, List.of(two.get(0).get("shape").asString()), List.of(1), Map.of("wears", Map.of("1", coat())));
        assertThat(flat(sheet, 150, 60)).isEqualTo(COAT);
        assertThat(visitor.get(ask + "1000").body()).contains("2 to 60");
    }

    @Test
    void badReferencesAreRefused() {
        Sheet sheet = blank();
        String file = work.address(sheet) + "/reference/file";

        assertThat(visitor.upload(file, "x.png", "no picture".getBytes()).statusCode())
                .isEqualTo(422);
        visitor.upload(file, "dot.png", Drawings.png(1, 1, pen -> pen.fillRect(0, 0, 1, 1)));
        assertThat(visitor.get(work.address(sheet) + "/reference/shapes?count=5&detail=0")
                        .body())
                .contains("only 1 x 1");
        String laid = json.readTree(
                        visitor.get(work.address(sheet) + "/reference").body())
                .get("laid")
                .get("reference")
                .toString();
        assertThat(visitor.post(work.address(sheet) + "/reference", laid.replace("\"values\":4", "\"values\":40"))
                        .statusCode())
                .isEqualTo(400);
        Work their = Work.begin(pond);
        assertThat(visitor.post(work.address(sheet) + "/reference/" + their.project(), "")
                        .statusCode())
                .isEqualTo(404);
    }
}
