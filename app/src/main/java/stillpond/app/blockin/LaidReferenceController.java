package stillpond.app.blockin;

import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.account.SignedIn;
import stillpond.app.card.ReferencePicture;
import stillpond.app.card.ReferencePictures;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetReferences;
import stillpond.app.sheet.Sheets;
import stillpond.core.blockin.Edge;
import stillpond.core.blockin.Reference;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.ShapeText;
import stillpond.core.colour.ColourNames;
import stillpond.core.refusal.Refusal;

/** The reference picture on the sheet on the desk: how it lies there, and what shapes are in it. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/reference")
class LaidReferenceController {

    private final Sheets sheets;
    private final SheetReferences references;
    private final ReferencePictures pictures;

    LaidReferenceController(Sheets sheets, SheetReferences references, ReferencePictures pictures) {
        this.sheets = sheets;
        this.references = references;
        this.pictures = pictures;
    }

    /** A reference picture, how large it is, and where its pixels are. */
    record LaidPicture(Reference reference, String content, int widthPx, int heightPx) {}

    /** @param laid null if none lies on the sheet @param others pictures of the project that could */
    record References(@Nullable LaidPicture laid, List<OtherPicture> others) {}

    record OtherPicture(UUID picture, String title, String content) {}

    @GetMapping
    References laid(@PathVariable UUID project, @PathVariable UUID sheet) {
        sheets.require(project, sheet);
        return references(project, sheet);
    }

    private References references(UUID project, UUID sheet) {
        List<OtherPicture> others = pictures.of(project).stream()
                .map(each -> new OtherPicture(each.id(), each.title(), content(project, each.id())))
                .toList();
        return new References(
                references.of(sheet).map(each -> laid(project, each)).orElse(null), others);
    }

    private LaidPicture laid(UUID project, Reference reference) {
        ReferencePicture picture = pictures.get(project, reference.picture());
        return new LaidPicture(reference, content(project, picture.id()), picture.widthPx(), picture.heightPx());
    }

    private static String content(UUID project, UUID picture) {
        return "/projects/" + project + "/pictures/" + picture + "/content.png";
    }

    /** Lays a new picture on the sheet, as large as fits. */
    @PostMapping("/file")
    References bring(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam MultipartFile file)
            throws IOException {
        Sheet on = sheets.get(project, sheet);
        ReferencePicture picture = pictures.bring(project, String.valueOf(file.getOriginalFilename()), file.getBytes());
        return lay(on, person.id(), picture);
    }

    /** Lays a picture of the project on the sheet, as large as fits. */
    @PostMapping("/{picture}")
    References choose(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @PathVariable UUID picture,
            @AuthenticationPrincipal SignedIn person) {
        return lay(sheets.get(project, sheet), person.id(), pictures.get(project, picture));
    }

    private References lay(Sheet on, UUID person, ReferencePicture picture) {
        Reference fitting =
                Reference.fitting(picture.id(), picture.widthPx(), picture.heightPx(), on.widthPx(), on.heightPx());
        references.set(on, person, Optional.of(fitting));
        return references(on.project(), on.id());
    }

    @PostMapping
    References change(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @NotNull Reference reference) {
        Sheet on = sheets.get(project, sheet);
        pictures.get(project, reference.picture());
        references.set(on, person.id(), Optional.of(reference));
        return references(project, sheet);
    }

    @PostMapping("/remove")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID project, @PathVariable UUID sheet, @AuthenticationPrincipal SignedIn person) {
        references.set(sheets.get(project, sheet), person.id(), Optional.empty());
    }

    /** A shape that is suggested, as text with the number 1. @param share of the picture */
    record Suggestion(String shape, String colour, String name, double share) {}

    /** The few big shapes of the picture that lies on the sheet, largest first. @param detail 0 to 1 */
    @GetMapping("/shapes")
    List<Suggestion> suggest(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam int count,
            @RequestParam double detail) {
        sheets.require(project, sheet);
        Reference laid = references
                .of(sheet)
                .orElseThrow(() -> new Refusal("No reference picture lies on this sheet. Bring one in first."));
        return pictures.bigShapes(project, laid, count, detail).stream()
                .map(each -> new Suggestion(
                        ShapeText.of(new Shape(1, each.loops(), Edge.NONE)),
                        each.colour().hex(),
                        ColourNames.suggest(each.colour()),
                        each.share()))
                .toList();
    }
}
