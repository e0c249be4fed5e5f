package stillpond.app.story;

import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.sheet.Sheets;

/** Who changed what a region wears last. */
@RestController
class LaidByController {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm 'UTC'", Locale.ENGLISH);

    private final Sheets sheets;
    private final JdbcClient database;

    LaidByController(Sheets sheets, JdbcClient database) {
        this.sheets = sheets;
        this.database = database;
    }

    /** @param words empty if nobody has since the sheet was cut as it is */
    record LaidBy(String words) {}

    /** @param layer the cutting that the cell is of */
    @GetMapping("/projects/{project}/sheets/{sheet}/laid-by")
    LaidBy laidBy(
            @PathVariable UUID project, @PathVariable UUID sheet, @RequestParam UUID layer, @RequestParam int cell) {
        sheets.require(project, sheet);
        return database.sql("""
                        select account.display_name, c.made_at
                        from effect e join change c on c.id = e.change_id join account on account.id = c.author_id
                        where e.sheet_id = :sheet and e.layer_id = :layer and e.kind = 'FILLED' and :cell = any(e.cells)
                        order by c.number desc limit 1""")
                .param("sheet", sheet)
                .param("layer", layer)
                .param("cell", cell)
                .query((row, number) -> new LaidBy("Last changed by " + row.getString(1) + ", "
                        + DAY.format(row.getTimestamp(2).toInstant().atOffset(ZoneOffset.UTC))))
                .optional()
                .orElse(new LaidBy(""));
    }
}
