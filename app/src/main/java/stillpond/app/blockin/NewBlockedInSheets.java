package stillpond.app.blockin;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.card.ReferencePicture;
import stillpond.app.card.ReferencePictures;
import stillpond.app.sheet.BlankPage;
import stillpond.app.sheet.BlankSheets;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetReferences;
import stillpond.core.blockin.Reference;
import stillpond.core.cell.Box;
import stillpond.core.refusal.Refusal;

/** Makes sheets without line art, with all that is asked for, or not at all. */
@Service
class NewBlockedInSheets {

    private static final double MM_PER_INCH = 25.4;

    private final BlankSheets blank;
    private final PageFrames frames;
    private final SheetReferences references;
    private final ReferencePictures pictures;
    private final TransactionTemplate transaction;

    NewBlockedInSheets(
            BlankSheets blank,
            PageFrames frames,
            SheetReferences references,
            ReferencePictures pictures,
            TransactionTemplate transaction) {
        this.blank = blank;
        this.frames = frames;
        this.references = references;
        this.pictures = pictures;
        this.transaction = transaction;
    }

    /** A picture that somebody sends along. */
    record Brought(String fileName, byte[] content) {}

    /** @throws Refusal with a message for the user; then there is no sheet, nor a picture */
    UUID make(UUID project, UUID person, NewSheetController.NewSheetForm form, Optional<Brought> brought) {
        BlankPage page = page(form);
        int margin = margin(form, page);
        UUID scene = form.scene();
        if (scene == null) {
            throw new Refusal("Choose the scene that the sheet is to be in.");
        }
        Optional<UUID> picture = brought.map(file ->
                        pictures.bring(project, file.fileName(), file.content()).id())
                .or(() -> Optional.ofNullable(form.picture()));
        return transaction.execute(status -> {
            Sheet sheet = blank.make(project, scene, form.title() == null ? "" : form.title(), page);
            if (margin > 0) {
                frames.set(sheet, person, new Box(margin, margin, page.widthPx() - margin, page.heightPx() - margin));
            }
            picture.map(id -> pictures.get(project, id)).ifPresent(each -> lay(sheet, person, each));
            return sheet.id();
        });
    }

    private void lay(Sheet sheet, UUID person, ReferencePicture picture) {
        references.set(
                sheet,
                person,
                Optional.of(Reference.fitting(
                        picture.id(), picture.widthPx(), picture.heightPx(), sheet.widthPx(), sheet.heightPx())));
    }

    private static BlankPage page(NewSheetController.NewSheetForm form) {
        PageSize size = form.size();
        double width = size == null ? given(form.widthMm(), "width") : size.widthMm();
        double height = size == null ? given(form.heightMm(), "height") : size.heightMm();
        boolean isTurned = size != null && Boolean.TRUE.equals(form.wide());
        int perInch = (int) given(form.pixelsPerInch(), "number of pixels an inch");
        return new BlankPage(
                pixels(isTurned ? height : width, perInch), pixels(isTurned ? width : height, perInch), perInch);
    }

    private static double given(@Nullable Number value, String what) {
        if (value == null) {
            throw new Refusal("Give the " + what + " of the page.");
        }
        return value.doubleValue();
    }

    private static int margin(NewSheetController.NewSheetForm form, BlankPage page) {
        int margin = form.marginMm() == null ? 0 : pixels(form.marginMm(), page.pixelsPerInch());
        if (margin < 0 || 2 * margin > Math.min(page.widthPx(), page.heightPx()) - 2) {
            throw new Refusal("The page frame would have no room: its margin is half as wide as the sheet, or more.");
        }
        return margin;
    }

    private static int pixels(double mm, int perInch) {
        return (int) Math.round(Math.max(-1e6, Math.min(1e6, mm / MM_PER_INCH * perInch)));
    }
}
