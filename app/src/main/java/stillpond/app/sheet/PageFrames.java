package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
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

    private final JdbcClient jdbc;
    private final SheetRepository sheets;
    private final History history;

    PageFrames(JdbcClient jdbc, SheetRepository sheets, History history) {
        this.jdbc = jdbc;
        this.sheets = sheets;
        this.history = history;
    }

    /** In pixels of the sheet; empty where the sheet is page all over. */
    @Transactional(readOnly = true)
    public Optional<Box> of(UUID sheet) {
        return jdbc.sql("select x_start, y_start, x_end_exclusive, y_end_exclusive from page_frame where sheet_id = ?")
                .param(sheet)
                .query((row, number) -> new Box(row.getInt(1), row.getInt(2), row.getInt(3), row.getInt(4)))
                .optional();
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
        jdbc.sql("delete from page_frame where sheet_id = ?").param(sheet).update();
        frame.ifPresent(box -> jdbc.sql("insert into page_frame values (?, ?, ?, ?, ?)")
                .params(sheet, box.xStart(), box.yStart(), box.xEndExclusive(), box.yEndExclusive())
                .update());
    }
}
