package stillpond.app.export;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import stillpond.app.history.ShadowText;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.OpenRaster;
import stillpond.app.support.TestPond;
import stillpond.app.support.Unzipped;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;
import stillpond.core.format.PlaneCodec;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import tools.jackson.databind.json.JsonMapper;

/** A sheet in every form that it goes out in. Three boxes stand side by side; the first wears the coat, the second the scarf. */
class HandOnTest {

    private static final int COAT = 0x2f6f5e;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bring(Drawings.threeBoxes());
    private final Visitor visitor = Visitor.signedIn(pond, work.person());

    HandOnTest() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, work.scarf().id(), 1500, 1000);
    }

    @Test
    void thePageSaysWhatIsWornAndWhatAFileWillHold() {
        String page = visitor.get(work.address(sheet) + "/hand-on").body();
        assertThat(page).contains("Coat", "Scarf", "shapes.svg", "layers.ora", "masks.zip");
        String parts =
                visitor.get(work.address(sheet) + "/hand-on/shapes?by=SEPARATE").body();
        assertThat(parts).contains("Coat").doesNotContain("<html");
    }

    @Test
    void flatsAreTrimmedAndEnlargedWithoutNewColours() throws IOException {
        BufferedImage trimmed = image("flats.png?trim=LAID&margin=5&side=");
        assertThat(trimmed.getWidth()).isBetween(1500, 2900);
        BufferedImage twice = image("flats.png?trim=LAID&times=2");
        BufferedImage once = image("flats.png?trim=LAID");
        assertThat(twice.getWidth()).isEqualTo(2 * once.getWidth());
        for (int x = 0; x < once.getWidth(); x += 97) {
            assertThat(twice.getRGB(2 * x + 1, 801)).isEqualTo(once.getRGB(x, 400));
        }
        BufferedImage small = image("flats.png?side=301");
        assertThat(small.getWidth()).isEqualTo(301);
        assertThat(small.getRGB(50, 100) & 0xffffff).isEqualTo(COAT);
    }

    @Test
    void layersGiveThePictureOfTheSheetShadowsIncluded() throws Exception {
        int box = cellAt(500, 1000);
        String scarf = work.scarf().id().toString();
        String coat = work.coat().id().toString();
        shadow(1, "cells " + box, "drawn 0,1000! 1100,1000! 1100,1700! 0,1700!", BlendMode.MULTIPLY, 60, scarf);
        shadow(2, "cells " + box, "drawn 300,700! 700,700! 700,1300! 300,1300!", BlendMode.NORMAL, 100, "none");
        shadow(3, "laid", "drawn 1200,800! 1700,800! 1700,1200! 1200,1200!", BlendMode.SCREEN, 80, coat);
        OpenRaster file = OpenRaster.read(visitor.download(work.address(sheet) + "/export/layers.ora?by=COLOUR"));
        assertThat(file.names()).contains("Ink", "Paper", "Fold 1", "Fold 2", "Fold 3");
        assertThat(file.operators()).contains("svg:multiply", "svg:screen", "svg:src-atop", "svg:src-over");
        BufferedImage composed = image("composed.png");
        BufferedImage laid = file.composed();
        int worst = 0;
        for (int y = 0; y < composed.getHeight(); y += 3) {
            for (int x = 0; x < composed.getWidth(); x += 3) {
                worst = Math.max(worst, difference(composed.getRGB(x, y), laid.getRGB(x, y)));
            }
        }
        assertThat(worst).as("levels off at the most").isLessThanOrEqualTo(2);
        assertThat(difference(file.merged().getRGB(500, 1100), composed.getRGB(500, 1100)))
                .isZero();
    }

    @Test
    void shapesAreTheSheetAgain() throws IOException {
        byte[] svg = visitor.download(work.address(sheet) + "/export/shapes.svg?by=SEPARATE");
        SVGDocument document = new SVGLoader().load(new ByteArrayInputStream(svg), null, LoaderContext.createDefault());
        BufferedImage drawn = new BufferedImage(3000, 2000, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = drawn.createGraphics();
        document.render(null, graphics);
        graphics.dispose();
        BufferedImage composed = image("composed.png");
        int off = 0;
        for (int y = 0; y < 2000; y += 2) {
            for (int x = 0; x < 3000; x += 2) {
                off += difference(drawn.getRGB(x, y), composed.getRGB(x, y)) > 128 ? 1 : 0;
            }
        }
        assertThat(off)
                .as("of 1.5 million places, beside lines that are 6 pixels wide")
                .isLessThan(150);
        assertThat(new String(svg, StandardCharsets.UTF_8)).contains("coat", "Borders lie within");
    }

    @Test
    void masksAreOneForEachColour() throws IOException {
        Map<String, byte[]> entries = Unzipped.of(visitor.download(work.address(sheet) + "/export/masks.zip"));
        assertThat(entries).hasSize(4).containsKeys("index.csv", "index.json");
        String index = new String(entries.get("index.csv"), StandardCharsets.UTF_8);
        assertThat(index).contains("#2f6f5e", "#d2603f");
    }

    @Test
    void whatIsWornGoesOutInTheOrderOfAreaAndBecomesACardThatFollows() {
        String csv = new String(visitor.download(work.address(sheet) + "/hand-on/palette/CSV"), StandardCharsets.UTF_8);
        assertThat(csv).contains("#2f6f5e", "#d2603f");
        HttpResponse<String> made = visitor.submit(work.address(sheet) + "/hand-on/card", "of", "SHEET");
        assertThat(made.statusCode()).isIn(200, 302, 303);
        Card card = pond.bean(Palettes.class).of(work.project()).cards().stream()
                .filter(each -> each.name().startsWith("Worn in"))
                .findFirst()
                .orElseThrow();
        assertThat(card.swatches()).hasSize(2).allMatch(swatch -> swatch.paint() instanceof Paint.Tied);
    }

    @Test
    void aProofSaysWhatIsWornWithItsInksAndAScenesHasAPageForEachSheet() throws IOException {
        Sheet second = work.bring(Drawings.threeBoxesLower());
        try (PDDocument proof = Loader.loadPDF(visitor.download(work.address(sheet) + "/export/proof.pdf"))) {
            assertThat(proof.getNumberOfPages()).isEqualTo(1);
            assertThat(proof.getPage(0).getMediaBox().getWidth()).isCloseTo(595, Offset.offset(1f));
            String text = new PDFTextStripper().getText(proof);
            assertThat(text).contains(sheet.title(), "Coat", "#2f6f5e", "Print condition", "C ", " K ");
        }
        String scene = "/projects/" + work.project() + "/scenes/" + work.scene();
        try (PDDocument proof = Loader.loadPDF(visitor.download(scene + "/export/proof.pdf"))) {
            assertThat(proof.getNumberOfPages())
                    .as("two sheets and their palette")
                    .isEqualTo(3);
            assertThat(new PDFTextStripper().getText(proof)).contains(second.title());
        }
        visitor.submit(work.address(second) + "/rename", "title", "Θάλασσα, море, \u6d77, \ud83c\udf0a");
        try (PDDocument proof = Loader.loadPDF(visitor.download(work.address(second) + "/export/proof.pdf"))) {
            assertThat(new PDFTextStripper().getText(proof)).contains("Θάλασσα, море, ?, ?");
        }
    }

    @Test
    void platesHaveTheLineArtOnBlackAndASpotInkOnItsOwn() throws IOException {
        Swatch spot =
                new Swatch(work.scarf().id(), "Scarf", "", "", new Paint.Spot("Signal red", Srgb.ofHex("#d2603f")));
        pond.bean(Palettes.class).change(work.project(), work.account(), List.of(new PaletteEdit.Change(spot)));
        Map<String, byte[]> films =
                Unzipped.of(visitor.download(work.address(sheet) + "/export/plates.zip?film=PNG&trap=0&black=false"));
        String title = sheet.title() + " - ";
        assertThat(films).containsKeys(title + "Black.png", title + "Signal red.png", "index.json");
        BufferedImage black = ImageIO.read(new ByteArrayInputStream(films.get(title + "Black.png")));
        BufferedImage red = ImageIO.read(new ByteArrayInputStream(films.get(title + "Signal red.png")));
        int margin = (black.getWidth() - 3000) / 2;
        assertThat(black.getRaster().getSample(margin + 200, margin + 1000, 0))
                .as("a line")
                .isZero();
        assertThat(red.getRaster().getSample(margin + 1500, margin + 1000, 0)).isZero();
        assertThat(red.getRaster().getSample(margin + 500, margin + 1000, 0)).isEqualTo(255);
        assertThat(black.getRaster().getSample(margin + 1500, margin + 1000, 0)).isEqualTo(255);
    }

    @Test
    void aCardGoesOutForScreenAndPrintAndForSpotInksIfItHasAny() {
        String card = "/projects/" + work.project() + "/cards/"
                + pond.bean(Palettes.class)
                        .of(work.project())
                        .cardOf(work.coat().id())
                        .orElseThrow()
                        .id();
        assertThat(visitor.get(card + "/outputs?as=PRINT").body()).contains("Percent of cyan", "Coat", " %");
        assertThat(visitor.get(card + "/outputs?as=SPOTS").body()).contains("has an ink of its own");
        assertThat(new String(visitor.download(card + "/output/SCREEN"), StandardCharsets.UTF_8))
                .contains("\"#2f6f5e\",47,111,94");
        assertThat(new String(visitor.download(card + "/output/PRINT"), StandardCharsets.UTF_8))
                .contains("name,hex,cyan,magenta,yellow,black");
        HttpResponse<String> none = visitor.get(card + "/output/SPOTS");
        assertThat(none.statusCode()).isEqualTo(400);
        assertThat(none.body()).contains("ink of its own");
    }

    @Test
    void whatCannotGoOutIsRefusedInWords() {
        Sheet empty = work.bring(Drawings.threeBoxesLower());
        assertThat(refusal(empty, "flats.png?trim=LAID")).contains("Nothing is laid");
        assertThat(refusal(sheet, "composed.png?trim=LAID")).contains("nothing clear to trim");
        assertThat(refusal(sheet, "flats.png?times=99")).contains("whole factors");
        assertThat(refusal(sheet, "flats.png?light=dawn")).contains("as drawn");
        assertThat(refusal(sheet, "flats.png?times=16")).contains("megapixels");
        assertThat(refusal(sheet, "plates.zip?trap=99")).contains("trap");
        assertThat(visitor.get(work.address(sheet) + "/export/shapes.svg?by=NONSENSE")
                        .statusCode())
                .isEqualTo(400);
        assertThat(visitor.download(work.address(empty) + "/export/shapes.svg")).isNotEmpty();
    }

    @Test
    void aTitleThatFileSystemsHateMakesAFileAllTheSame() {
        visitor.submit(work.address(sheet) + "/rename", "title", "a/b:\"c\"?*<|>");
        String name = visitor.get(work.address(sheet) + "/export/flats.png")
                .headers()
                .firstValue("Content-Disposition")
                .orElseThrow();
        assertThat(name).contains("filename=\"a b c - flats.png\"");
    }

    private String refusal(Sheet of, String what) {
        HttpResponse<String> answer = visitor.get(work.address(of) + "/export/" + what);
        assertThat(answer.statusCode()).isEqualTo(400);
        return answer.body();
    }

    private void shadow(int number, String base, String form, BlendMode mode, int strength, String fill) {
        ShadowText text =
                new ShadowText(number, number, "Fold " + number, base, form, mode.standardName(), 15, strength, 0);
        Map<String, Object> message = Map.of(
                "act", "ADD", "layer", sheet.layer().id(), "shadows", List.of(Map.of("shadow", text, "fill", fill)));
        HttpResponse<String> answer = visitor.post(
                work.address(sheet) + "/shadows", JsonMapper.shared().writeValueAsString(message));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private int cellAt(int x, int y) {
        return PlaneCodec.decodeCells(
                        pond.bean(Planes.class).content(sheet.layer().cells()))
                .numberAt(x, y);
    }

    private BufferedImage image(String what) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(visitor.download(work.address(sheet) + "/export/" + what)));
    }

    private static int difference(int first, int second) {
        int most = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            most = Math.max(most, Math.abs((first >> shift & 0xff) - (second >> shift & 0xff)));
        }
        return most;
    }
}
