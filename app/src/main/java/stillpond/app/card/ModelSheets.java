package stillpond.app.card;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.sheet.Sheet;

/** The sheet that a card is judged by. */
@Component
@Transactional
public class ModelSheets {

    private final JdbcClient jdbc;

    ModelSheets(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The chosen one, or else the sheet that wears most of the card's swatches; empty if none does. Native: it counts the cells of a whole project. */
    @Transactional(readOnly = true)
    public Optional<Sheet> of(UUID card, List<Sheet> sheets) {
        Optional<UUID> id = jdbc.sql("""
                        select s.id from sheet s
                        left join layer l on l.sheet_id = s.id and l.is_current
                        left join cell_wears f on f.layer_id = l.id
                        left join swatch w on w.id = f.swatch_id and w.card_id = :card
                        where s.removed_at is null and s.project_id = (select project_id from card where id = :card)
                        group by s.id
                        having count(distinct w.id) > 0 or s.id = (select model_sheet_id from card where id = :card)
                        order by s.id = (select model_sheet_id from card where id = :card) desc nulls last,
                                 count(distinct w.id) desc, count(w.id) desc
                        limit 1""").param("card", card).query(UUID.class).optional();
        return id.flatMap(wanted ->
                sheets.stream().filter(sheet -> sheet.id().equals(wanted)).findFirst());
    }
}
