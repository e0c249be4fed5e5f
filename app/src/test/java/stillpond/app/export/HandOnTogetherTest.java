package stillpond.app.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import stillpond.app.background.Background;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Unzipped;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;

/** Sheets that are handed on together, in the background. */
class HandOnTogetherTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final HandingOn handingOn = pond.bean(HandingOn.class);
    private final String address = "/projects/" + work.project() + "/hand-on";

    @Test
    void aProjectGoesOutInSeveralFormsUnderNamesThatSayWhatIsWhere() throws IOException {
        Sheet first = work.bring(Drawings.threeBoxes());
        Sheet second = work.bring(Drawings.threeBoxesLower());
        work.lay(first, work.coat().id(), 500, 1000);
        assertThat(begin("scene", "", "form", "FLATS", "form", "SHAPES", "form", "LAYERS")
                        .statusCode())
                .isIn(200, 302);
        HandingOn.Progress done = finished();
        assertThat(done.written()).as(done.failures().toString()).isEqualTo(6);

        Map<String, byte[]> files = Unzipped.of(visitor.download(address + "/jobs/" + done.id() + "/files.zip"));
        assertThat(files).hasSize(6);
        String flats = files.keySet().stream()
                .filter(name -> name.endsWith("01 " + first.title() + " - flats.png"))
                .findFirst()
                .orElseThrow();
        assertThat(ImageIO.read(new ByteArrayInputStream(files.get(flats))).getRGB(500, 1000))
                .isEqualTo(0xff2f6f5e);
        assertThat(files.keySet()).anyMatch(name -> name.endsWith("02 " + second.title() + ".svg"));
        assertThat(visitor.get(address).body()).contains("6 of 6 files", "files.zip");
    }

    @Test
    void aSceneGoesOutInAllFormsAtOnceAndOthersCanReadEach() throws Exception {
        Sheet sheet = work.bring(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 500, 1000);
        List<String> asked = new ArrayList<>(List.of("scene", work.scene().toString(), "by", "COLOUR"));
        for (FileForm form : FileForm.values()) {
            asked.addAll(List.of("form", form.name()));
        }
        begin(asked.toArray(String[]::new));
        HandingOn.Progress done = finished();
        assertThat(done.written()).as(done.failures().toString()).isEqualTo(FileForm.values().length);
        Map<String, byte[]> files = Unzipped.of(visitor.download(address + "/jobs/" + done.id() + "/files.zip"));

        BufferedImage flats = picture(one(files, " - flats.png"));
        BufferedImage whole = picture(one(files, "boxes.png"));
        assertThat(flats.getRGB(500, 1000)).isEqualTo(whole.getRGB(500, 1000)).isEqualTo(0xff2f6f5e);
        assertThat(picture(one(files, " - shadows.png")).getWidth()).isEqualTo(flats.getWidth());
        SVGDocument shapes =
                new SVGLoader().load(new ByteArrayInputStream(one(files, ".svg")), null, LoaderContext.createDefault());
        assertThat(shapes).isNotNull();
        assertThat(new String(one(files, ".svg"), StandardCharsets.UTF_8)).contains("<title>Juniper, Coat</title>");
        assertThat(Unzipped.of(one(files, ".ora"))).containsKeys("mimetype", "stack.xml", "mergedimage.png");
        Map<String, byte[]> masks = Unzipped.of(one(files, " - masks.zip"));
        assertThat(masks).containsKeys("index.csv", "index.json").hasSize(3);
        Map<String, byte[]> plates = Unzipped.of(one(files, " - plates.zip"));
        byte[] cyan = plates.get(plates.keySet().stream()
                .filter(name -> name.contains("yan") && name.endsWith(".tif"))
                .findFirst()
                .orElseThrow());
        assertThat(picture(cyan).getWidth()).isGreaterThan(flats.getWidth());
        for (String proof : List.of("boxes - proof.pdf", "Low tide - proof.pdf")) {
            try (PDDocument read = Loader.loadPDF(one(files, proof))) {
                assertThat(new PDFTextStripper().getText(read)).as(proof).contains("Coat");
            }
        }
    }

    private static byte[] one(Map<String, byte[]> files, String ending) {
        List<String> names =
                files.keySet().stream().filter(name -> name.endsWith(ending)).toList();
        assertThat(names).as(ending + " among " + files.keySet()).hasSize(1);
        return files.get(names.get(0));
    }

    private static BufferedImage picture(byte[] file) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(file));
    }

    @Test
    void onlyWhatHasChangedSinceGoesOutAgain() {
        Sheet first = work.bring(Drawings.threeBoxes());
        work.bring(Drawings.threeBoxesLower());
        begin("form", "FLATS");
        assertThat(finished().written()).isEqualTo(2);
        HttpResponse<String> nothing = begin("form", "FLATS", "changed", "true");
        assertThat(nothing.statusCode()).isEqualTo(400);
        assertThat(nothing.body()).contains("No sheet has changed");
        work.lay(first, work.coat().id(), 500, 1000);
        begin("form", "FLATS", "changed", "true");
        assertThat(finished().written()).isEqualTo(1);

        Swatch other = new Swatch(work.coat().id(), "Coat", "", "", new Paint.Process(Srgb.ofHex("#204060")));
        pond.bean(Palettes.class).change(work.project(), work.account(), List.of(new PaletteEdit.Change(other)));
        begin("form", "FLATS", "changed", "true");
        assertThat(finished().written()).as("a swatch was edited").isEqualTo(1);
    }

    @Test
    void whatCannotBeWrittenIsListedAndTheRestIsThere() throws IOException {
        Sheet sheet = work.bring(Drawings.threeBoxes());
        UUID job = handingOn.begin(
                work.project(),
                work.account(),
                new HandingOn.Order(
                        Optional.empty(), false, List.of(FileForm.FLATS, FileForm.SHEET), HandingOn.Choices.USUAL));
        HandingOn.Task first = handingOn.next(job).orElseThrow();
        handingOn.failed(first, "the disk was away");
        pond.bean(Background.class).begin(FileWriting.NAME, job);
        HandingOn.Progress done = finished();
        assertThat(done.written()).isEqualTo(1);
        assertThat(done.failures()).hasSize(1).allMatch(each -> each.contains("the disk was away"));
        Map<String, byte[]> files = Unzipped.of(visitor.download(address + "/jobs/" + job + "/files.zip"));
        assertThat(files).hasSize(2).containsKey("not written.txt");
        assertThat(new String(files.get("not written.txt"), StandardCharsets.UTF_8))
                .contains(sheet.title(), "the disk was away");
    }

    @Test
    void aJobThatIsStoppedWritesNoMore() {
        work.bring(Drawings.threeBoxes());
        UUID job = handingOn.begin(
                work.project(),
                work.account(),
                new HandingOn.Order(
                        Optional.of(work.scene()), false, List.of(FileForm.FLATS), HandingOn.Choices.USUAL));
        visitor.submit(address + "/jobs/" + job + "/cancel");
        assertThat(handingOn.next(job)).isEmpty();
        pond.bean(Background.class).begin(FileWriting.NAME, job);
        HandingOn.Progress stopped = handingOn.of(work.project()).get(0);
        assertThat(stopped.isCancelled()).isTrue();
        assertThat(visitor.get(address + "/jobs/" + job + "/files.zip").statusCode())
                .isEqualTo(400);
    }

    @Test
    void nothingIsBegunWithoutAFormOrASheet() {
        assertThat(begin("form", "FLATS").body()).contains("no sheet here yet");
        work.bring(Drawings.threeBoxes());
        assertThat(begin("scene", "").body()).contains("Choose at least one form");
        assertThat(begin("form", "FLATS", "scene", UUID.randomUUID().toString()).statusCode())
                .isEqualTo(404);
        assertThat(visitor.get(address + "/jobs/" + UUID.randomUUID() + "/files.zip")
                        .statusCode())
                .isEqualTo(404);
    }

    private HttpResponse<String> begin(String... fields) {
        return visitor.submit(address, fields);
    }

    private HandingOn.Progress finished() {
        await().atMost(Duration.ofMinutes(2))
                .until(() -> handingOn.of(work.project()).get(0).isOver());
        return handingOn.of(work.project()).get(0);
    }
}
