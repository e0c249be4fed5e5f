package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.OwnKeys;
import stillpond.app.account.SignedIn;

/** The keys of the desk, as the person who is signed in wants them. */
@RestController
class KeysController {

    private final OwnKeys keys;

    KeysController(OwnKeys keys) {
        this.keys = keys;
    }

    /** See {@link OwnKeys.Keys}. */
    record KeysMessage(
            boolean letters, @NotNull @Size(max = 200) Map<@NotNull String, @NotNull String> pressed) {}

    @PostMapping("/keys")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@AuthenticationPrincipal SignedIn person, @RequestBody @Valid KeysMessage message) {
        keys.keep(person.id(), new OwnKeys.Keys(message.letters(), message.pressed()));
    }
}
