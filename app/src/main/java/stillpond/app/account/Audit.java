package stillpond.app.account;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sign-ins and changes of who gets in. The database refuses to change or delete a row. */
@Service
@Transactional
public class Audit {

    private final JdbcClient database;
    private final Clock clock;

    Audit(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** What is noted. */
    public enum Kind {
        SIGNED_IN,
        PASSWORD,
        SESSIONS,
        ACCOUNT,
        INVITED,
        MEMBERS
    }

    /** A row. @param account whose doing it was */
    public record Entry(Instant at, @Nullable UUID account, Kind kind, String words) {}

    /** @param account whose doing it was @param project that it is about, or null @param words what was done, with nothing that is secret */
    public void note(@Nullable UUID account, @Nullable UUID project, Kind kind, String words) {
        database.sql("insert into audit (at, account_id, project_id, kind, words) values (?, ?, ?, ?, ?)")
                .params(clock.instant().atOffset(ZoneOffset.UTC), account, project, kind.name(), words)
                .update();
    }

    /** What somebody did, in whatever project, latest first. */
    @Transactional(readOnly = true)
    public List<Entry> by(UUID account, int most) {
        return read("account_id", account, most);
    }

    /** What was done about a project, latest first. */
    @Transactional(readOnly = true)
    public List<Entry> about(UUID project, int most) {
        return read("project_id", project, most);
    }

    private List<Entry> read(String column, UUID id, int most) {
        return database.sql("select at, account_id, kind, words from audit where " + column
                        + " = :id order by number desc limit :most")
                .param("id", id)
                .param("most", most)
                .query((row, number) -> new Entry(
                        row.getTimestamp("at").toInstant(),
                        row.getObject("account_id", UUID.class),
                        Kind.valueOf(row.getString("kind")),
                        row.getString("words")))
                .list();
    }
}
