package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.core.format.MaskFiles;
import stillpond.core.format.PlateFiles;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Framing;
import stillpond.core.ink.Picture;
import stillpond.core.plate.Inking;
import stillpond.core.refusal.Refusal;

/** One sheet as a file to hand on. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/export")
class SheetFileController {

    private static final MediaType SVG = MediaType.valueOf("image/svg+xml");
    private static final MediaType OPEN_RASTER = MediaType.valueOf("image/openraster");
    private static final MediaType ZIP = MediaType.valueOf("application/zip");

    private final Sheets sheets;
    private final SheetPictures pictures;
    private final SheetFiles files;
    private final AskedLight lights;
    private final Proofs proofs;
    private final SheetPlates plates;
    private final PageMemory memory;
    private final LaidReferences references;

    SheetFileController(
            Sheets sheets,
            SheetPictures pictures,
            SheetFiles files,
            AskedLight lights,
            Proofs proofs,
            SheetPlates plates,
            PageMemory memory,
            LaidReferences references) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.files = files;
        this.lights = lights;
        this.proofs = proofs;
        this.plates = plates;
        this.memory = memory;
        this.references = references;
    }

    /**
     * How a picture is asked for.
     *
     * @param light {@code own}, or {@code plain} for as drawn
     * @param trim see {@link Framing.Trim}
     * @param margin in pixels, around what is laid
     * @param times by what whole factor it is enlarged
     * @param side its longer side in pixels, in place of {@code times}
     * @param reference whether the reference picture lies over a whole sheet
     */
    record Asked(String light, Framing.Trim trim, Integer margin, Integer times, Integer side, Boolean reference) {

        String lightOrOwn() {
            return light == null || light.isEmpty() ? "own" : light;
        }

        Framing framing() {
            Framing.Size size =
                    side != null ? new Framing.Size.LongSide(side) : new Framing.Size.Times(times == null ? 1 : times);
            return new Framing(trim == null ? Framing.Trim.NOTHING : trim, margin == null ? 0 : margin, size);
        }
    }

    private interface Painting {
        Picture paint(Sheet sheet, Showing showing);
    }

    @GetMapping("/flats.png")
    ResponseEntity<StreamingResponseBody> flats(@PathVariable UUID project, @PathVariable UUID sheet, Asked asked) {
        return png(sheets.get(project, sheet), FileForm.FLATS, asked, pictures::flats);
    }

    @GetMapping("/composed.png")
    ResponseEntity<StreamingResponseBody> composed(@PathVariable UUID project, @PathVariable UUID sheet, Asked asked) {
        if (asked.trim() == Framing.Trim.LAID) {
            throw new Refusal(
                    "A whole sheet lies on paper, so there is nothing clear to trim. Trim its flats, or trim to the page frame.");
        }
        Painting painting = Boolean.TRUE.equals(asked.reference())
                ? (present, showing) -> references.over(present, pictures.composed(present, showing))
                : pictures::composed;
        return png(sheets.get(project, sheet), FileForm.SHEET, asked, painting);
    }

    /** To lay over the flats. */
    @GetMapping("/shadows.png")
    ResponseEntity<StreamingResponseBody> shadows(@PathVariable UUID project, @PathVariable UUID sheet, Asked asked) {
        return png(sheets.get(project, sheet), FileForm.SHADOWS, asked, pictures::shadows);
    }

    private ResponseEntity<StreamingResponseBody> png(Sheet sheet, FileForm form, Asked asked, Painting painting) {
        String light = asked.lightOrOwn();
        Framing framing = asked.framing();
        return lit(
                sheet,
                light,
                form,
                MediaType.IMAGE_PNG,
                (present, showing, out) -> files.png(
                        present, painting.paint(present, showing), framing, lights.name(present, light), out));
    }

    private interface Writing {
        void write(Sheet sheet, Showing showing, OutputStream out) throws IOException;
    }

    private ResponseEntity<StreamingResponseBody> lit(
            Sheet sheet, String light, FileForm form, MediaType type, Writing writing) {
        Showing showing = AskedLight.showing(light);
        return spooled(sheet, lights.title(sheet, light), form, type, out -> writing.write(sheet, showing, out));
    }

    private ResponseEntity<StreamingResponseBody> spooled(
            Sheet sheet, String title, FileForm form, MediaType type, Spooled.Writing writing) {
        return memory.during(sheet, form, () -> Spooled.download(title + form.suffix(), form.ending(), type, writing));
    }

    @GetMapping("/proof.pdf")
    ResponseEntity<StreamingResponseBody> proof(@PathVariable UUID project, @PathVariable UUID sheet) {
        Sheet present = sheets.get(project, sheet);
        return spooled(
                present,
                present.title(),
                FileForm.PROOF,
                MediaType.APPLICATION_PDF,
                out -> ProofPdf.write(proofs.ofSheet(present), out));
    }

    @GetMapping("/shapes.svg")
    ResponseEntity<StreamingResponseBody> shapes(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "own") String light,
            @RequestParam(defaultValue = "COLOUR") Arrangement by) {
        return lit(
                sheets.get(project, sheet),
                light,
                FileForm.SHAPES,
                SVG,
                (present, showing, out) -> files.svg(present, showing, by, out));
    }

    @GetMapping("/layers.ora")
    ResponseEntity<StreamingResponseBody> layers(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "own") String light,
            @RequestParam(defaultValue = "PART") Arrangement by) {
        return lit(
                sheets.get(project, sheet),
                light,
                FileForm.LAYERS,
                OPEN_RASTER,
                (present, showing, out) -> files.openRaster(present, showing, by, out));
    }

    /**
     * Plates for a press.
     *
     * @param black whether black ink overprints
     * @param limit of ink at one place, in percent
     */
    @GetMapping("/plates.zip")
    ResponseEntity<StreamingResponseBody> plates(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "own") String light,
            @RequestParam(defaultValue = "TIFF") PlateFiles.Form film,
            @RequestParam(defaultValue = "true") boolean black,
            @RequestParam(defaultValue = "0") int trap,
            @RequestParam(defaultValue = "300") int limit) {
        Inking inking = new Inking(black, trap, limit);
        return lit(
                sheets.get(project, sheet),
                light,
                FileForm.PLATES,
                ZIP,
                (present, showing, out) -> plates.write(present, showing, inking, film, out));
    }

    @GetMapping("/masks.zip")
    ResponseEntity<StreamingResponseBody> masks(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "COLOUR") Arrangement by,
            @RequestParam(defaultValue = "ONE_BIT") MaskFiles.Depth depth) {
        Sheet present = sheets.get(project, sheet);
        return spooled(present, present.title(), FileForm.MASKS, ZIP, out -> files.masks(present, by, depth, out));
    }
}
