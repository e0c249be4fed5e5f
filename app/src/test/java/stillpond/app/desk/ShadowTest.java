package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.history.ShadowText;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.HandDams;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Recuts;
import stillpond.app.sheet.Replacing;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.SheetOrder;
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
import stillpond.core.shadow.Shadows;
import tools.jackson.databind.json.JsonMapper;

/** Shadows and rims over HTTP and in the store. Three boxes stand side by side; the first wears the coat. Places are pixels of the sheet. */
class ShadowTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;

    /** The scarf multiplied with the coat: 47 x 210 / 255, 111 x 96 / 255, 94 x 63 / 255. */
    private static final int SCARF_ON_COAT = 0x272a17;

    /** The lower part of the first box, and more. */
    private static final String LOWER = "drawn 0,1000! 1100,1000! 1100,1700! 0,1700!";

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bring(Drawings.threeBoxes());
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final JsonMapper json = JsonMapper.shared();

    ShadowTest() {
        work.lay(sheet, work.coat().id(), 500, 1000);
    }

    @Test
    void aShadowInASwatchComesOutInPicturesInsideItsBaseAlone() {
        byte[] flats = visitor.download(work.address(sheet) + "/export/flats.png");
        String before = visitor.get(work.address(sheet) + "/small.png")
                .headers()
                .firstValue("ETag")
                .orElseThrow();

        add(shadow(7, "cells " + cellAt(500, 1000), LOWER, 100), scarf());

        BufferedImage composed = picture("composed.png");
        assertThat(rgb(composed, 500, 1200)).isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(composed, 500, 800)).as("above it").isEqualTo(COAT);
        assertThat(rgb(composed, 1000, 1200)).as("beside its base").isEqualTo(0xffffff);
        assertThat(rgb(composed, 200, 1200)).as("under the ink").isEqualTo(0);
        assertThat(visitor.download(work.address(sheet) + "/export/flats.png")).isEqualTo(flats);
        BufferedImage alone = picture("shadows.png");
        assertThat(alone.getRGB(500, 1200)).isEqualTo(0xff000000 | SCARF_ON_COAT);
        assertThat(alone.getRGB(500, 800) >>> 24).isZero();
        assertThat(visitor.get(work.address(sheet) + "/small.png").headers().firstValue("ETag"))
                .isNotEqualTo(Optional.of(before));
        BufferedImage small = visitor.picture(work.address(sheet) + "/small.png");
        int scale = 3000 / small.getWidth();
        assertThat(rgb(small, 500 / scale, 1200 / scale)).isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(small, 500 / scale, 800 / scale)).isEqualTo(COAT);
    }

    @Test
    void itIsChangedAndEachChangeIsTakenBack() {
        ShadowText shadow = shadow(7, "cells " + cellAt(500, 1000), LOWER, 100);
        add(shadow, scarf());
        add(shadow(8, "cells " + cellAt(500, 1000), LOWER, 40), "none");
        assertThat(post("{\"act\":\"STRENGTHEN\",\"numbers\":[7,8],\"by\":-30}").statusCode())
                .isEqualTo(200);
        assertThat(shadows().get(7).strength()).isEqualTo(70);
        assertThat(shadows().get(8).strength()).isEqualTo(10);
        assertThat(post("{\"act\":\"MOVE\",\"number\":8,\"by\":-1}").statusCode())
                .isEqualTo(200);
        assertThat(shadows().all().get(0).number()).isEqualTo(8);
        assertThat(post("{\"act\":\"REMOVE\",\"number\":7}").statusCode()).isEqualTo(200);
        assertThat(worn(7)).isEqualTo(Fill.NONE);

        undo();
        assertThat(shadows().get(7).strength()).isEqualTo(70);
        assertThat(worn(7)).isEqualTo(Fill.flat(work.scarf().id()));
        undo();
        undo();
        assertThat(shadows().get(7).strength()).isEqualTo(100);
        assertThat(shadows().all().get(0).number()).isEqualTo(7);
        undo();
        undo();
        assertThat(shadows().all()).isEmpty();
        assertThat(worn(7)).isEqualTo(Fill.NONE);
    }

    @Test
    void anEarlierMomentShowsWhatLayThere() {
        add(shadow(7, "cells " + cellAt(500, 1000), LOWER, 100), scarf());
        Instant then = Instant.now();
        assertThat(post("{\"act\":\"REMOVE\",\"number\":7}").statusCode()).isEqualTo(200);
        BufferedImage now = visitor.picture(work.address(sheet) + "/small.png");
        BufferedImage past = visitor.picture(
                work.address(sheet) + "/small.png?at=" + URLEncoder.encode(then.toString(), StandardCharsets.UTF_8));
        int scale = 3000 / now.getWidth();
        assertThat(rgb(now, 500 / scale, 1200 / scale)).isEqualTo(COAT);
        assertThat(rgb(past, 500 / scale, 1200 / scale)).isEqualTo(SCARF_ON_COAT);
    }

    @Test
    void itFollowsItsBaseThroughDamsOtherSettingsAndACorrectedDrawing() {
        add(shadow(7, "cells " + cellAt(500, 1000), LOWER, 100), scarf());
        pond.bean(HandDams.class)
                .draw(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        List.of(new Point(190, 1300), new Point(810, 1300)),
                        cut -> {});
        assertThat(rgb(picture("composed.png"), 500, 1200)).isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(picture("composed.png"), 500, 1400)).isEqualTo(SCARF_ON_COAT);

        pond.bean(Recuts.class)
                .replace(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        Drawings.threeBoxesLower());
        assertThat(rgb(picture("composed.png"), 500, 1400)).isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(picture("composed.png"), 1000, 1400)).isEqualTo(0xffffff);

        pond.bean(Recuts.class)
                .reanalyse(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        work.account(),
                        new InkSettings(OptionalInt.of(60), OptionalInt.empty(), Pencil.NONE),
                        false);
        assertThat(rgb(picture("composed.png"), 500, 1400)).isEqualTo(SCARF_ON_COAT);
        undo();
        assertThat(rgb(picture("composed.png"), 500, 1400)).isEqualTo(SCARF_ON_COAT);
    }

    @Test
    void aCopyOfTheSheetHasItToo() {
        add(shadow(7, "cells " + cellAt(500, 1000), LOWER, 100), scarf());
        UUID copy = pond.bean(SheetOrder.class).copy(work.project(), sheet.id());
        BufferedImage composed =
                visitor.picture("/projects/" + work.project() + "/sheets/" + copy + "/export/composed.png");
        assertThat(rgb(composed, 500, 1200)).isEqualTo(SCARF_ON_COAT);
    }

    @Test
    void replacingASwatchAndTakingItAwayReachIt() {
        add(shadow(7, "cells " + cellAt(500, 1000), LOWER, 100), coat());
        assertThat(visitor.get("/projects/" + work.project() + "/find?swatch="
                                + work.coat().id())
                        .body())
                .contains("1 region and 1 shadow");

        pond.bean(Replacing.class)
                .replace(
                        work.project(),
                        List.of(pond.bean(Sheets.class).get(work.project(), sheet.id())),
                        work.account(),
                        Set.of(work.coat().id()),
                        work.scarf().id());
        assertThat(worn(7)).isEqualTo(Fill.flat(work.scarf().id()));

        pond.bean(TransactionTemplate.class)
                .executeWithoutResult(status ->
                        pond.bean(WornSwatches.class).replace(work.scarf().id(), Optional.empty()));
        assertThat(worn(7)).isEqualTo(Fill.NONE);
    }

    @Test
    void aRimLiesAroundItsFigureAndBehindIt() {
        add(shadow(9, "laid", "rim 40 round", 100), scarf());
        BufferedImage composed = picture("composed.png");
        assertThat(rgb(composed, 160, 1000)).as("beside the ink").isEqualTo(SCARF);
        assertThat(rgb(composed, 130, 1000)).as("beyond it").isEqualTo(0xffffff);
        assertThat(rgb(composed, 500, 1000)).as("in front of it").isEqualTo(COAT);
        work.lay(sheet, work.coat().id(), 1500, 1000);
        assertThat(rgb(picture("composed.png"), 1160, 1000))
                .as("around what is laid since")
                .isEqualTo(SCARF);
    }

    @Test
    void carryBringsShadowsAlongInThePoseThatIsFound() {
        Sheet model = work.bring(person(""));
        Sheet posed = work.bring(person("transform='translate(520 40) scale(-0.85 0.85)'"));
        for (int[] at : new int[][] {{925, 850}, {925, 1200}, {780, 1600}, {1080, 1600}}) {
            work.lay(model, work.coat().id(), at[0], at[1]);
        }
        for (int[] at : new int[][] {{925, 1105}, {925, 500}, {1410, 1290}}) {
            work.lay(model, work.scarf().id(), at[0], at[1]);
        }
        String right = "drawn 925,600! 1300,600! 1300,1200! 925,1200!";
        ShadowText shadow = shadow(7, "cells " + cellAt(model, 925, 850), right, 100);
        assertThat(visitor.post(work.address(model) + "/shadows", message(model, shadow, scarf()))
                        .statusCode())
                .isEqualTo(200);

        String asked = "{\"sources\":[\"" + model.id() + "\"],\"overFilled\":false}";
        assertThat(visitor.post(work.address(posed) + "/carry/sure", asked).body())
                .contains("\"shadows\":1");

        BufferedImage composed = visitor.picture(work.address(posed) + "/export/composed.png");
        assertThat(rgb(composed, 1665, 965)).as("on the left, in the mirror").isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(composed, 1962, 965)).isEqualTo(COAT);
        assertThat(visitor.post(work.address(posed) + "/carry/sure", asked).body())
                .as("not twice")
                .contains("\"shadows\":0");
    }

    private static byte[] person(String transform) {
        return Drawings.svg("<g fill='#fff' stroke='#000' stroke-width='5' " + transform + ">" + """
                <rect x="130" y="150" width="110" height="130"/><path d="M130 210H240M130 232H240"/>
                <circle cx="185" cy="100" r="50"/><rect x="135" y="280" width="42" height="80"/>
                <rect x="195" y="280" width="42" height="80"/><ellipse cx="282" cy="235" rx="42" ry="36"/>
                </g>""");
    }

    @Test
    void aBaseThatIsAGroupFollowsItAndOutlivesIt() {
        visitor.post(
                work.address(sheet) + "/groups",
                "{\"act\":\"MAKE\",\"name\":\"First\",\"cells\":[" + cellAt(500, 1000) + "]}");
        String group = json.readTree(
                        visitor.get(work.address(sheet) + "/groups").body())
                .get(0)
                .get("id")
                .asString();
        add(shadow(7, "group " + group + " " + cellAt(500, 1000), LOWER, 100), scarf());
        assertThat(rgb(picture("composed.png"), 500, 1200)).isEqualTo(SCARF_ON_COAT);

        visitor.post(work.address(sheet) + "/groups", "{\"act\":\"REMOVE\",\"group\":\"" + group + "\"}");
        assertThat(rgb(picture("composed.png"), 500, 1200)).isEqualTo(SCARF_ON_COAT);
    }

    @Test
    void whatCannotBeIsRefusedWithAReasonAndNothingChanges() {
        String base = "cells " + cellAt(500, 1000);
        add(shadow(7, base, LOWER, 100), scarf());
        refused(shadow(8, base, "drawn 0,0 5,5", 100), "none", "three points");
        refused(shadow(8, base, "drawn" + " 9,9".repeat(10_000), 100), "none", "up to 1,000 points");
        refused(shadow(8, base, "drawn 2000,0! 2100,0! 2100,90!", 100), "none", "wholly outside of its base");
        refused(shadow(8, "cells 4000", LOWER, 100), "none", "analysed anew");
        refused(shadow(8, "cells", LOWER, 100), "none", "base");
        refused(shadow(7, base, LOWER, 100), "none", "this number already");
        refused(shadow(8, base, LOWER, 200), "none", "0 to 100 %");
        refused(shadow(8, base, LOWER, 100), UUID.randomUUID().toString(), "none of the project's cards");
        refused(shadow(8, base, LOWER, 100), "flat 40% " + work.coat().id(), "one swatch, wholly");
        assertThat(post("{\"act\":\"REMOVE\",\"number\":99}").body()).contains("not there any more");
        assertThat(lay(Places.ofShadow(99), Fill.flat(work.coat().id())))
                .isInstanceOfSatisfying(
                        ChangeOutcome.Refused.class,
                        refused -> assertThat(refused.reason()).contains("not there any more"));
        assertThat(shadows().all()).hasSize(1);

        Work stranger = Work.begin(pond);
        Visitor other = Visitor.signedIn(pond, stranger.person());
        assertThat(other.get(work.address(sheet) + "/shadows").statusCode()).isEqualTo(404);
    }

    /** It is handled, not refused: all that it runs around is shadow. */
    @Test
    void aShapeThatCrossesItselfIsShadowInAllItsLoops() {
        String bow = "drawn 250,600! 750,1400! 750,600! 250,1400!";
        add(shadow(7, "cells " + cellAt(500, 1000), bow, 100), scarf());
        BufferedImage composed = picture("composed.png");
        assertThat(rgb(composed, 300, 1000)).isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(composed, 700, 1000)).isEqualTo(SCARF_ON_COAT);
        assertThat(rgb(composed, 500, 700)).isEqualTo(COAT);
    }

    private void refused(ShadowText shadow, String fill, String reason) {
        HttpResponse<String> answer = post(message(shadow, fill));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(400);
        assertThat(answer.body()).contains(reason);
    }

    private static ShadowText shadow(int number, String base, String form, int strength) {
        return new ShadowText(number, 0, "Fold " + number, base, form, "multiply", 20, strength, 0);
    }

    private void add(ShadowText shadow, String fill) {
        HttpResponse<String> answer = post(message(shadow, fill));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private String message(ShadowText shadow, String fill) {
        return message(sheet, shadow, fill);
    }

    private String message(Sheet on, ShadowText shadow, String fill) {
        return "{\"act\":\"ADD\",\"layer\":\"" + layer(on).id() + "\",\"shadows\":[{\"shadow\":"
                + json.writeValueAsString(shadow) + ",\"fill\":\"" + fill + "\"}]}";
    }

    private HttpResponse<String> post(String message) {
        return visitor.post(work.address(sheet) + "/shadows", message);
    }

    private void undo() {
        UUID change = work.line(sheet.id(), work.account()).undoable().get(0).id();
        assertThat(pond.bean(SheetChanges.class)
                        .make(sheet.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), change)))
                .isInstanceOf(ChangeOutcome.Made.class);
    }

    private ChangeOutcome lay(int place, Fill fill) {
        return pond.bean(SheetChanges.class)
                .make(
                        sheet.id(),
                        work.account(),
                        new ChangeRequest.Lay(UUID.randomUUID(), layer().id(), fill, List.of(place)));
    }

    private String scarf() {
        return work.scarf().id().toString();
    }

    private String coat() {
        return work.coat().id().toString();
    }

    private Layer layer() {
        return layer(sheet);
    }

    private Layer layer(Sheet of) {
        return pond.bean(Sheets.class).get(work.project(), of.id()).layer();
    }

    private Shadows shadows() {
        return pond.bean(LayerShadows.class).of(layer().id());
    }

    private Fill worn(int shadow) {
        return pond.bean(Sheets.class).fills(layer()).of(Places.ofShadow(shadow));
    }

    private int cellAt(int x, int y) {
        return cellAt(sheet, x, y);
    }

    private int cellAt(Sheet on, int x, int y) {
        return PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer(on).cells()))
                .numberAt(x, y);
    }

    private BufferedImage picture(String name) {
        return visitor.picture(work.address(sheet) + "/export/" + name);
    }

    private static int rgb(BufferedImage picture, int x, int y) {
        return picture.getRGB(x, y) & 0xffffff;
    }
}
