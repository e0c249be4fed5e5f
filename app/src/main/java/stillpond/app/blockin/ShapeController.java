package stillpond.app.blockin;

import jakarta.validation.Valid;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.BlankSheets;
import stillpond.app.sheet.LayerShapes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** The shapes of the layer that is worked on. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class ShapeController {

    private final Sheets sheets;
    private final LayerShapes shapes;
    private final BlankSheets blank;
    private final Palettes palettes;

    ShapeController(Sheets sheets, LayerShapes shapes, BlankSheets blank, Palettes palettes) {
        this.sheets = sheets;
        this.shapes = shapes;
        this.blank = blank;
        this.palettes = palettes;
    }

    /** Shapes as they are stored, which never change under their name; see {@link stillpond.core.blockin.ShapeText}. */
    @GetMapping("/shapes/{name}")
    ResponseEntity<byte[]> shapes(@PathVariable UUID project, @PathVariable UUID sheet, @PathVariable String name) {
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .contentType(new MediaType("text", "plain", StandardCharsets.UTF_8))
                .body(shapes.text(project, sheet, name));
    }

    @PostMapping("/shapes")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid ShapeMessage message) {
        Sheet on = sheets.get(project, sheet, layer);
        if (!on.layer().id().equals(message.layer())) {
            throw new Refusal(
                    "Somebody else has changed the shapes of this layer just now. Look at theirs, and do yours again.");
        }
        LayerShapes.Change change = message.change();
        boolean hasAll = palettes.of(project)
                .hasAll(change.wears().values().stream()
                        .flatMap(fill -> fill.swatches().stream())
                        .toList());
        if (!hasAll) {
            throw new Refusal("A swatch of these is on none of the project's cards any more. Nothing was changed.");
        }
        shapes.change(on, person.id(), change);
    }

    /** The layer that was added. */
    record AddedLayer(UUID layer) {}

    @PostMapping("/layers/shapes")
    AddedLayer add(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam boolean under) {
        Sheet after = blank.add(sheets.get(project, sheet), person.id(), under);
        return new AddedLayer(after.layer().standing().layer());
    }
}
