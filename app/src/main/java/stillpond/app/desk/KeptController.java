package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.KeptFills;
import stillpond.core.palette.Staging;

/** Gradients and patterns that are kept on cards. A desk is told of them with the colours of its sheet. */
@RestController
@RequestMapping("/projects/{project}/kept-fills")
class KeptController {

    private static final int LONGEST_FILL = 2000;

    private final KeptFills kept;

    KeptController(KeptFills kept) {
        this.kept = kept;
    }

    /** @param id a new one, made by the page, or that of the one to change */
    record KeepMessage(
            @NotNull UUID id,

            @NotNull @Size(max = Staging.KeptFill.LONGEST_NAME)
            String name,

            @NotNull UUID card,
            @NotNull @Size(max = LONGEST_FILL) String fill) {}

    @PostMapping
    Staging.KeptFill keep(
            @PathVariable UUID project,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid KeepMessage message) {
        return kept.keep(project, person.id(), message.id(), message.name(), message.card(), message.fill());
    }

    @PostMapping("/{id}/dropped")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable UUID project, @PathVariable UUID id, @AuthenticationPrincipal SignedIn person) {
        kept.drop(project, person.id(), id);
    }
}
