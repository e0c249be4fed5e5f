package stillpond.app.export;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.Picture;

@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class PictureController {

    private final Sheets sheets;
    private final SheetPictures pictures;
    private final Stagings stagings;

    PictureController(Sheets sheets, SheetPictures pictures, Stagings stagings) {
        this.sheets = sheets;
        this.pictures = pictures;
        this.stagings = stagings;
    }

    /**
     * For tiles and strips; asked for again each time, since a fill or a swatch may have changed, but painted only then.
     *
     * @param tried swatches to be shown in other colours, each as its id and a hex code
     * @param lit swatches that alone keep their colours, all others being greys; none: all do
     * @param light {@code own}, {@code plain} (as drawn) or the id of one
     * @param rule a whole light in its stored form, in place of {@code light}
     * @param wear what cards wear: the id of the card, a colon, and a wardrobe, {@code plain} or {@code follow}
     * @param at an earlier moment
     */
    @GetMapping("/small.png")
    ResponseEntity<StreamingResponseBody> small(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(name = "try", defaultValue = "") List<String> tried,
            @RequestParam(defaultValue = "") Set<UUID> lit,
            @RequestParam(defaultValue = "own") String light,
            @RequestParam(defaultValue = "") String rule,
            @RequestParam(defaultValue = "") List<String> wear,
            @RequestParam Optional<Instant> at,
            WebRequest request) {
        Showing.Asked asked = new Showing.Asked(tried, lit, light, rule, wear, at.orElse(null));
        Showing showing = Showing.of(asked, stagings.of(project));
        SheetPictures.ColouredSheet coloured = pictures.colour(sheets.get(project, sheet), showing);
        String version = '"' + coloured.smallVersion() + '"';
        if (request.checkNotModified(version)) {
            return null;
        }
        Picture picture = pictures.small(coloured);
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(version)
                .contentType(MediaType.IMAGE_PNG)
                .body(out -> PngWriter.write(picture, out));
    }
}
