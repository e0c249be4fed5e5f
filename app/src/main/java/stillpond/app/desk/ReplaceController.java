package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Replacing;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** Replaces a swatch by another beyond the sheet on the desk. */
@RestController
class ReplaceController {

    private final Sheets sheets;
    private final Replacing replacing;

    ReplaceController(Sheets sheets, Replacing replacing) {
        this.sheets = sheets;
        this.replacing = replacing;
    }

    /** Where it is replaced. */
    enum Scope {
        SCENE,
        PROJECT
    }

    record ReplaceMessage(
            @NotNull UUID swatch, @NotNull UUID by, @NotNull Scope scope) {}

    @PostMapping("/projects/{project}/sheets/{sheet}/replace")
    Replacing.Replaced replace(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid ReplaceMessage message) {
        UUID scene = sheets.get(project, sheet).scene();
        List<Sheet> scope = sheets.inProject(project).stream()
                .filter(each -> message.scope() == Scope.PROJECT || each.scene().equals(scene))
                .toList();
        return replacing.replace(project, scope, person.id(), Set.of(message.swatch()), message.by());
    }
}
