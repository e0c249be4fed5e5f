package stillpond.app.live;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Between the nodes that share a database: PostgreSQL's LISTEN and NOTIFY. What is announced within a transaction is heard everywhere, here too, when that has been
 * committed, and never if it is rolled back. Each node listens on one connection of its own.
 */
@Component
class LiveWire implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(LiveWire.class);
    private static final String CHANNEL = "pond_live";
    private static final int LOOKS_UP_EVERY_MS = 1000;

    private final JdbcClient jdbc;
    private final JdbcConnectionDetails database;
    private final LiveLines lines;
    private final JsonMapper json;
    private volatile Thread listener;
    private volatile boolean hears;

    LiveWire(JdbcClient jdbc, JdbcConnectionDetails database, LiveLines lines, JsonMapper json) {
        this.jdbc = jdbc;
        this.database = database;
        this.lines = lines;
        this.json = json;
    }

    void announce(UUID project, LiveMessage message) {
        LiveEvent event = new LiveEvent(project, message.event(), json.writeValueAsString(message));
        jdbc.sql("select pg_notify(?, ?)")
                .params(CHANNEL, event.text())
                .query((row, number) -> "")
                .list();
    }

    @Override
    public void start() {
        listener = new Thread(this::listen, "live-wire");
        listener.setDaemon(true);
        listener.start();
    }

    @Override
    public void stop() {
        Thread ending = listener;
        listener = null;
        ending.interrupt();
    }

    @Override
    public boolean isRunning() {
        return listener != null;
    }

    /** Whether what happens on other nodes is heard here just now. */
    boolean hears() {
        Thread present = listener;
        return hears && present != null && present.isAlive();
    }

    private boolean isListener() {
        return Thread.currentThread() == listener;
    }

    private void listen() {
        boolean wasLost = false;
        while (isListener()) {
            try (Connection connection = DriverManager.getConnection(
                            database.getJdbcUrl(), database.getUsername(), database.getPassword());
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + CHANNEL);
                if (wasLost) {
                    // What was said meanwhile nobody heard.
                    lines.tellAllToLookAgain();
                }
                wasLost = false;
                hears = true;
                hear(connection.unwrap(PGConnection.class));
            } catch (SQLException | RuntimeException e) {
                if (isListener() && !wasLost) {
                    LOG.warn("The line to other nodes is lost, and tried again: {}", e.getMessage());
                }
                wasLost = true;
                hears = false;
                rest();
            }
        }
    }

    private void hear(PGConnection connection) throws SQLException {
        while (isListener()) {
            for (PGNotification each : connection.getNotifications(LOOKS_UP_EVERY_MS)) {
                pass(each.getParameter());
            }
        }
    }

    /** One message that cannot be passed on is no reason to hear none of those after it. */
    private void pass(String message) {
        try {
            lines.tell(LiveEvent.ofText(message));
        } catch (RuntimeException e) {
            LOG.error("What another node said could not be passed on", e);
        }
    }

    private static void rest() {
        try {
            Thread.sleep(LOOKS_UP_EVERY_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
