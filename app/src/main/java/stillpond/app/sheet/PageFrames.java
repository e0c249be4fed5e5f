package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.cell.Box;

/** Which part of a sheet is the page; what lies beside it is scrap. */
@Component
@Transactional
public class PageFrames implements EffectKind<Effect.Framed> {

    private final FrameRepository frames;
    private final SheetRepository sheets;
    private final History history;

    PageFrames(FrameRepository frames, SheetRepository sheets, History history) {
        this.frames = frames;
        this.sheets = sheets;
        this.history = history;
    }

    /** In pixels of the sheet; empty where the sheet is page all over. */
    @Transactional(readOnly = true)
    public Optional<Box> of(UUID sheet) {
        return frames.findById(sheet).map(StoredFrame::box);
    }

    public void set(Sheet sheet, UUID author, Box frame) {
        sheets.findAndLock(sheet.id()).orElseThrow();
        Effect.Framed effect = new Effect.Framed(sheet.id(), of(sheet.id()), Optional.of(frame));
        if (!effect.before().equals(effect.after())) {
            write(sheet.id(), effect.after());
            history.keep(sheet.project(), author, "Drew the page frame", List.of(effect));
        }
    }

    @Override
    public Class<Effect.Framed> effects() {
        return Effect.Framed.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Framed effect) {
        if (!of(effect.onSheet()).equals(effect.before())) {
            return Done.nothing();
        }
        write(effect.onSheet(), effect.after());
        return Done.all(effect);
    }

    private void write(UUID sheet, Optional<Box> frame) {
        frame.ifPresentOrElse(box -> frames.save(new StoredFrame(sheet, box)), () -> frames.deleteById(sheet));
    }
}
