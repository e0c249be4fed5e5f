package stillpond.app.palette;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The rows behind {@link Stagings}. */
@Component
class StagingRepository {

    private final JdbcClient jdbc;

    StagingRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Map<String, String> entries(UUID project) {
        Map<String, String> entries = new HashMap<>();
        jdbc.sql("select key, value from staged where project_id = ?")
                .param(project)
                .query((row, number) -> entries.put(row.getString(1), row.getString(2)))
                .list();
        return entries;
    }

    void put(UUID project, String key, String value) {
        jdbc.sql("""
                        insert into staged (project_id, key, value) values (?, ?, ?)
                        on conflict (project_id, key) do update set value = excluded.value""").params(project, key, value).update();
    }

    void remove(UUID project, Collection<String> keys) {
        keys.forEach(key -> jdbc.sql("delete from staged where project_id = ? and key = ?")
                .params(project, key)
                .update());
    }
}
