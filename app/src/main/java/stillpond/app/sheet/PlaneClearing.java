package stillpond.app.sheet;

import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import stillpond.app.background.DailyTask;

/**
 * Takes away planes that nothing names: those of work that was rolled back, and of projects that are gone. Not at once: whoever is just about to name one has kept it a moment ago.
 */
@Component
class PlaneClearing implements DailyTask {

    static final Duration GRACE = Duration.ofDays(7);

    private static final Logger LOG = LoggerFactory.getLogger(PlaneClearing.class);

    /** So many at a time, each time in a transaction of its own: nobody waits long for what is locked. */
    private static final int AT_ONCE = 200;

    /** Whatever refers to planes; that nothing is forgotten here the foreign keys of the database see to, and a test. Each is looked up by an index. */
    static final String UNUSED = """
            delete from plane where sha256 in (
              select p.sha256 from plane p
              where p.kept_at < now() - make_interval(secs => ?)
                and not exists (select from layer l where l.source = p.sha256)
                and not exists (select from layer l where l.origin = p.sha256)
                and not exists (select from layer l where l.ink = p.sha256)
                and not exists (select from layer l where l.cells = p.sha256)
                and not exists (select from layer l where l.openings = p.sha256)
                and not exists (select from layer l where l.strokes = p.sha256)
                and not exists (select from layer l where l.small_ink = p.sha256)
                and not exists (select from layer l where l.small_cells = p.sha256)
                and not exists (select from layer l where l.small_strokes = p.sha256)
                and not exists (select from motif m where m.content = p.sha256)
                and not exists (select from reference_picture r where r.content = p.sha256)
                and not exists (select from print_condition c where c.content = p.sha256)
              limit ?)""";

    private final JdbcClient database;

    PlaneClearing(JdbcClient database) {
        this.database = database;
    }

    @Override
    public String name() {
        return "clear-planes";
    }

    @Override
    public void run() {
        int cleared = 0;
        int last;
        do {
            last = database.sql(UNUSED).params(GRACE.toSeconds(), AT_ONCE).update();
            cleared += last;
        } while (last == AT_ONCE);
        if (cleared > 0) {
            LOG.info("Cleared {} planes that nothing names", cleared);
        }
    }
}
