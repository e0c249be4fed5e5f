package stillpond.app.support;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Objects;
import java.util.UUID;

/** A database of its own on the server that {@code ./pond test} has started. */
public record TestDatabase(String url, String user, String password) {

    /** The demo as it is loaded, to be copied; the benchmarks' tests copy it too. */
    private static final String DEMO = "demo_template";

    /** An empty one. */
    public static TestDatabase create() {
        return create("template1");
    }

    /** A copy of the demo. */
    static TestDatabase ofDemo() {
        return create(DEMO);
    }

    private static TestDatabase create(String template) {
        String name = "test_" + UUID.randomUUID().toString().replace('-', '_');
        ask("create database " + name + " template " + template);
        return new TestDatabase(
                setting("POND_TEST_DB_URL") + name, setting("POND_TEST_DB_USER"), setting("POND_TEST_DB_PASSWORD"));
    }

    /** Tests run in several processes over one PostgreSQL: what one of them makes for all of them the others wait for. */
    static void oneAtATime(Runnable work) {
        try (Connection connection = connect();
                var statement = connection.createStatement()) {
            statement.execute("select pg_advisory_lock(1)");
            work.run();
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    static boolean hasDemo() {
        return ask("select from pg_database where datname = '" + DEMO + "'");
    }

    /** Nobody may be connected to it. */
    void becomeDemo() {
        ask("alter database " + url.substring(url.lastIndexOf('/') + 1) + " rename to " + DEMO);
    }

    /** Returns whether there is an answer with a row. */
    private static boolean ask(String sql) {
        try (Connection connection = connect();
                var statement = connection.createStatement()) {
            return statement.execute(sql) && statement.getResultSet().next();
        } catch (SQLException e) {
            throw new IllegalStateException("No PostgreSQL for the tests; run them through ./pond test", e);
        }
    }

    private static Connection connect() throws SQLException {
        return DriverManager.getConnection(
                setting("POND_TEST_DB_URL") + "postgres",
                setting("POND_TEST_DB_USER"),
                setting("POND_TEST_DB_PASSWORD"));
    }

    private static String setting(String name) {
        return Objects.requireNonNull(
                System.getenv(name), () -> name + " is not set; run the tests through ./pond test");
    }
}
