package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LineMeetings;
import stillpond.app.sheet.Sheets;
import stillpond.core.render.Meeting;
import stillpond.core.stroke.Stroke;

/** The ink of the sheet on the desk. What its strokes wear is laid as fills of cells are, by {@link DeskCalls}. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class LineController {

    private final Sheets sheets;
    private final LineMeetings meetings;

    LineController(Sheets sheets, LineMeetings meetings) {
        this.sheets = sheets;
        this.meetings = meetings;
    }

    /** @param layer whose strokes they are @param strokes by their numbers */
    record StrokesMessage(UUID layer, List<Stroke> strokes) {}

    record MeetingMessage(@NotNull Meeting meeting) {}

    /** The strokes, and what lies beside them. */
    @GetMapping("/strokes")
    StrokesMessage strokes(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        Layer present = sheets.get(project, sheet, layer).layer();
        return new StrokesMessage(present.id(), sheets.strokes(present));
    }

    @GetMapping("/line-meeting")
    MeetingMessage meeting(@PathVariable UUID project, @PathVariable UUID sheet) {
        return new MeetingMessage(sheets.get(project, sheet).lineMeeting());
    }

    @PostMapping("/line-meeting")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void meet(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid MeetingMessage message) {
        sheets.require(project, sheet);
        meetings.set(sheet, person.id(), message.meeting());
    }
}
