package stillpond.app.palette;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    record Change(UUID id, String words) {}

    /** What a change, or its being taken back, made of some entries, to be gone back over: from what it led to, to what was before. */
    record Step(String from, String to) {}

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

    void log(Change change, UUID project, UUID author, Instant at, String before, String after) {
        jdbc.sql("""
                        insert into staging_change (id, project_id, author_id, made_at, words, before, after)
                        values (?, ?, ?, ?, ?, ?, ?)""")
                .params(change.id(), project, author, Timestamp.from(at), change.words(), before, after)
                .update();
    }

    Optional<Change> latest(UUID project, UUID author) {
        return jdbc.sql("""
                        select id, words from staging_change
                        where project_id = ? and author_id = ? and undone_at is null
                        order by made_at desc limit 1""").params(project, author).query(Change.class).optional();
    }

    List<Palettes.Done> done(UUID project, int most) {
        return jdbc.sql("""
                        select made_at as at, author_id as author, words from staging_change
                        where project_id = ? and undone_at is null order by made_at desc limit ?""")
                .params(project, most)
                .query((row, number) -> new Palettes.Done(
                        row.getTimestamp(1).toInstant(), row.getObject(2, UUID.class), row.getString(3)))
                .list();
    }

    Step step(UUID change) {
        return jdbc.sql("select after as \"from\", before as \"to\" from staging_change where id = ?")
                .param(change)
                .query(Step.class)
                .single();
    }

    void undone(UUID change, Instant at) {
        jdbc.sql("update staging_change set undone_at = ? where id = ?")
                .params(Timestamp.from(at), change)
                .update();
    }

    /** What was done and taken back after a moment, latest first. */
    List<Step> stepsSince(UUID project, Instant moment) {
        return jdbc.sql("""
                        select "from", "to" from (
                            select made_at as at, after as "from", before as "to" from staging_change
                            where project_id = :project and made_at > :moment
                            union all
                            select undone_at, before, after from staging_change
                            where project_id = :project and undone_at > :moment) as step
                        order by at desc""")
                .param("project", project)
                .param("moment", Timestamp.from(moment))
                .query(Step.class)
                .list();
    }
}
