package stillpond.app.support;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Objects;
import java.util.UUID;

/** An empty database of its own on the server that {@code ./pond test} has started. */
public record TestDatabase(String url, String user, String password) {

    public static TestDatabase create() {
        String server = setting("POND_TEST_DB_URL");
        String user = setting("POND_TEST_DB_USER");
        String password = setting("POND_TEST_DB_PASSWORD");
        String name = "test_" + UUID.randomUUID().toString().replace('-', '_');
        try (Connection connection = DriverManager.getConnection(server + "postgres", user, password);
                var statement = connection.createStatement()) {
            statement.execute("create database " + name);
        } catch (SQLException e) {
            throw new IllegalStateException("No PostgreSQL for the tests; run them through ./pond test", e);
        }
        return new TestDatabase(server + name, user, password);
    }

    private static String setting(String name) {
        return Objects.requireNonNull(
                System.getenv(name), () -> name + " is not set; run the tests through ./pond test");
    }
}
