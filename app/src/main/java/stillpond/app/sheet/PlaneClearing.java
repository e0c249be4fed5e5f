package stillpond.app.sheet;

import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.background.DailyTask;

/**
 * Takes away planes that nothing names: those of work that was rolled back, and of projects that are gone. Not at once: whoever is just about to name one has kept it a moment ago.
 */
@Component
class PlaneClearing implements DailyTask {

    static final Duration GRACE = Duration.ofDays(7);

    private static final Logger LOG = LoggerFactory.getLogger(PlaneClearing.class);

    /** Whatever refers to planes; that nothing is forgotten here the foreign keys of the database see to, and a test. */
    static final String UNUSED = """
            delete from plane p
            where p.kept_at < now() - make_interval(secs => ?)
              and not exists (select from layer l where p.sha256 in
                  (l.source, l.ink, l.cells, l.small_ink, l.small_cells, l.openings, l.strokes, l.small_strokes, l.origin))
              and not exists (select from motif m where m.content = p.sha256)
              and not exists (select from reference_picture r where r.content = p.sha256)
              and not exists (select from print_condition c where c.content = p.sha256)""";

    private final JdbcClient database;

    PlaneClearing(JdbcClient database) {
        this.database = database;
    }

    @Override
    public String name() {
        return "clear-planes";
    }

    @Override
    @Transactional
    public void run() {
        int cleared = database.sql(UNUSED).param(GRACE.toSeconds()).update();
        if (cleared > 0) {
            LOG.info("Cleared {} planes that nothing names", cleared);
        }
    }
}
