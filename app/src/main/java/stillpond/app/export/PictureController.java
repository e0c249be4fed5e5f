package stillpond.app.export;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Palette;

@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class PictureController {

    private final Sheets sheets;
    private final SheetPictures pictures;

    PictureController(Sheets sheets, SheetPictures pictures) {
        this.sheets = sheets;
        this.pictures = pictures;
    }

    /**
     * For tiles and strips; asked for again each time, since a fill or a swatch may have changed, but painted only then.
     *
     * @param tried swatches to be shown in other colours, each as its id and a hex code
     * @param lit swatches that alone keep their colours, all others being greys; none: all do
     */
    @GetMapping("/small.png")
    ResponseEntity<StreamingResponseBody> small(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(name = "try", defaultValue = "") List<String> tried,
            @RequestParam(defaultValue = "") Set<UUID> lit,
            WebRequest request) {
        Sheet present = sheets.get(project, sheet);
        Palette palette = lit.isEmpty() ? pictures.palette(present, tried) : pictures.lit(present, lit);
        String version = '"' + pictures.smallVersion(present, palette) + '"';
        if (request.checkNotModified(version)) {
            return null;
        }
        Picture picture = pictures.small(present, palette);
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(version)
                .contentType(MediaType.IMAGE_PNG)
                .body(out -> PngWriter.write(picture, out));
    }

    @GetMapping("/export/flats.png")
    ResponseEntity<StreamingResponseBody> flats(@PathVariable UUID project, @PathVariable UUID sheet) {
        Sheet present = sheets.get(project, sheet);
        return download(present.title() + " - flats.png", pictures.flats(present));
    }

    @GetMapping("/export/composed.png")
    ResponseEntity<StreamingResponseBody> composed(@PathVariable UUID project, @PathVariable UUID sheet) {
        Sheet present = sheets.get(project, sheet);
        return download(present.title() + ".png", pictures.composed(present));
    }

    private static ResponseEntity<StreamingResponseBody> download(String fileName, Picture picture) {
        ContentDisposition attachment = ContentDisposition.attachment()
                .filename(fileName, StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment.toString())
                .contentType(MediaType.IMAGE_PNG)
                .body(out -> PngWriter.write(picture, out));
    }
}
