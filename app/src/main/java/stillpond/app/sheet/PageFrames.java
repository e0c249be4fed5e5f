package stillpond.app.sheet;

import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.cell.Box;

/** Which part of a sheet is the page; what lies beside it is scrap. */
@Component
@Transactional
public class PageFrames {

    private final JdbcClient jdbc;
    private final ApplicationEventPublisher events;

    PageFrames(JdbcClient jdbc, ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.events = events;
    }

    /** In pixels of the sheet; empty where the sheet is page all over. */
    @Transactional(readOnly = true)
    public Optional<Box> of(UUID sheet) {
        return jdbc.sql("select x_start, y_start, x_end_exclusive, y_end_exclusive from page_frame where sheet_id = ?")
                .param(sheet)
                .query((row, number) -> new Box(row.getInt(1), row.getInt(2), row.getInt(3), row.getInt(4)))
                .optional();
    }

    public void set(Sheet on, UUID author, Box frame) {
        UUID sheet = on.id();
        events.publishEvent(SheetChanged.by(author, on.project(), sheet, SheetChanged.What.PAGE_FRAME));
        jdbc.sql("""
                        insert into page_frame values (?, ?, ?, ?, ?)
                        on conflict (sheet_id) do update set
                            x_start = excluded.x_start, y_start = excluded.y_start,
                            x_end_exclusive = excluded.x_end_exclusive, y_end_exclusive = excluded.y_end_exclusive""")
                .params(sheet, frame.xStart(), frame.yStart(), frame.xEndExclusive(), frame.yEndExclusive())
                .update();
    }
}
