package stillpond.app.desk;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Recuts;
import stillpond.app.sheet.Sheets;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;

/** Analysing line art anew from the desk; answers with the fills that found no place. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class RecutController {

    private final Sheets sheets;
    private final Recuts recuts;

    RecutController(Sheets sheets, Recuts recuts) {
        this.sheets = sheets;
        this.recuts = recuts;
    }

    /** @param threshold null: found from the picture; the same for specks @param isThrough whether all ink that is shown bounds the regions, not that of the layer alone */
    record InkMessage(
            @Nullable Integer threshold,
            @Nullable Integer speckPx,
            @Nullable Pencil pencil,
            @Nullable Boolean isThrough) {

        InkSettings asSettings() {
            return new InkSettings(optional(threshold), optional(speckPx), pencil == null ? Pencil.NONE : pencil);
        }

        private static OptionalInt optional(Integer value) {
            return value == null ? OptionalInt.empty() : OptionalInt.of(value);
        }
    }

    @PostMapping("/ink")
    List<Recuts.LostFill> reanalyse(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody InkMessage ink) {
        return recuts.reanalyse(
                sheets.get(project, sheet, layer), person.id(), ink.asSettings(), Boolean.TRUE.equals(ink.isThrough()));
    }

    @PostMapping("/line-art")
    List<Recuts.LostFill> replace(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam MultipartFile file)
            throws IOException {
        return recuts.replace(sheets.get(project, sheet, layer), person.id(), file.getBytes());
    }
}
