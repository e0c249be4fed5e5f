package stillpond.app.desk;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.cell.Box;
import stillpond.core.refusal.Refusal;

/** The page frame of the sheet on the desk. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/frame")
class FrameController {

    private final Sheets sheets;
    private final PageFrames frames;

    FrameController(Sheets sheets, PageFrames frames) {
        this.sheets = sheets;
        this.frames = frames;
    }

    /** In sheet pixels. */
    record FrameMessage(int x, int y, int width, int height) {

        static FrameMessage of(Box box) {
            return new FrameMessage(box.xStart(), box.yStart(), box.widthPx(), box.heightPx());
        }

        /** As far as it lies on a sheet. */
        Box on(Layer layer) {
            int left = Math.max(0, x);
            int top = Math.max(0, y);
            int right = Math.min(layer.widthPx(), x + width);
            int bottom = Math.min(layer.heightPx(), y + height);
            if (right <= left || bottom <= top) {
                throw new Refusal("The page frame must lie on the sheet. It stays as it was.");
            }
            return new Box(left, top, right, bottom);
        }
    }

    /** The whole sheet where nobody has drawn one. */
    @GetMapping
    FrameMessage frame(@PathVariable UUID project, @PathVariable UUID sheet) {
        Layer layer = sheets.get(project, sheet).layer();
        return frames.of(sheet)
                .map(FrameMessage::of)
                .orElseGet(() -> new FrameMessage(0, 0, layer.widthPx(), layer.heightPx()));
    }

    @PostMapping
    FrameMessage draw(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody FrameMessage asked) {
        Sheet present = sheets.get(project, sheet);
        Box frame = asked.on(present.layer());
        frames.set(present, person.id(), frame);
        return FrameMessage.of(frame);
    }
}
