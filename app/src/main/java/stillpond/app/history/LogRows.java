package stillpond.app.history;

import jakarta.persistence.EntityManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Types;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Adds rows to the log. Native: each fill waits for it, and nothing that is added is read again in the same transaction. */
@Component
class LogRows {

    private static final String CHANGE = """
            insert into change (id, project_id, author_id, made_at, kind, concerns, words, reason)
            values (?, ?, ?, ?, ?, ?, ?, ?)""";

    private static final String EFFECT = """
            insert into effect (change_id, position, kind, sheet_id, layer_id, replaced, cells, before, after)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?)""";

    private final JdbcTemplate database;
    private final EntityManager entities;
    private final EffectTexts texts;

    LogRows(JdbcTemplate database, EntityManager entities, EffectTexts texts) {
        this.database = database;
        this.entities = entities;
        this.texts = texts;
    }

    void add(Made made) {
        // What the rows are about must be there before them.
        entities.flush();
        database.update(
                CHANGE,
                made.id(),
                made.project(),
                made.author(),
                made.at().atOffset(ZoneOffset.UTC),
                made.kind().name(),
                made.concerns().orElse(null),
                made.words(),
                made.reason());
        List<EffectRow> rows = made.effects().stream().map(texts::row).toList();
        for (int position = 0; position < rows.size(); position++) {
            int at = position;
            database.update(EFFECT, statement -> {
                statement.setObject(1, made.id());
                statement.setInt(2, at);
                set(statement, rows.get(at));
            });
        }
    }

    private static void set(PreparedStatement statement, EffectRow row) throws SQLException {
        statement.setString(3, row.kind().name());
        statement.setObject(4, row.sheetId(), Types.OTHER);
        statement.setObject(5, row.layerId(), Types.OTHER);
        statement.setObject(6, row.replaced(), Types.OTHER);
        statement.setObject(7, row.cells());
        statement.setObject(8, row.before());
        statement.setObject(9, row.after());
    }
}
