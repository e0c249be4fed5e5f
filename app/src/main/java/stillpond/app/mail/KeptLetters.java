package stillpond.app.mail;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A stand-in for a mail server: keeps the last letters, so that they can be read at {@code /letters}. */
class KeptLetters implements Letters {

    static final int KEPT = 200;

    private final JdbcClient database;
    private final Clock clock;

    KeptLetters(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    record Kept(String sentTo, String subject, String body, Instant sentAt) {}

    @Override
    public boolean areSent() {
        return true;
    }

    @Override
    public void send(Letter letter) {
        database.sql("insert into kept_letter (id, sent_to, subject, body, sent_at) values (?, ?, ?, ?, ?)")
                .params(
                        UUID.randomUUID(),
                        letter.to(),
                        letter.subject(),
                        letter.text(),
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        database.sql("""
                        delete from kept_letter where id in (
                            select id from kept_letter order by sent_at desc, id offset ?)""").param(KEPT).update();
    }

    /** Latest first. */
    List<Kept> all() {
        return database.sql("select sent_to, subject, body, sent_at from kept_letter order by sent_at desc, id")
                .query((row, number) -> new Kept(
                        row.getString(1),
                        row.getString(2),
                        row.getString(3),
                        row.getTimestamp(4).toInstant()))
                .list();
    }
}
