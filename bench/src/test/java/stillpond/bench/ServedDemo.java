package stillpond.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Objects;
import java.util.UUID;

/** The application as it was packed, on the server of databases that {@code ./pond test} has started. */
public final class ServedDemo {

    private static final String TEMPLATES = "demo_template_%";
    private static final Path JARS = Path.of("..", "app", "target");

    private ServedDemo() {}

    public static ServedProcess start() throws IOException, SQLException {
        return new ServedProcess(jar(), newDatabase());
    }

    private static Path jar() throws IOException {
        try (var files = Files.newDirectoryStream(JARS, "*-boot.jar")) {
            for (Path jar : files) {
                return jar;
            }
        }
        throw new IllegalStateException("The application is not packed; run the tests through ./pond test");
    }

    private static ServedDatabase newDatabase() throws SQLException {
        ServedDatabase server = new ServedDatabase(
                Objects.requireNonNull(System.getenv("POND_TEST_DB_URL"), "run the tests through ./pond test"),
                System.getenv("POND_TEST_DB_USER"),
                System.getenv("POND_TEST_DB_PASSWORD"));
        String name = "bench_" + UUID.randomUUID().toString().replace('-', '_');
        try (var connection =
                        new ServedDatabase(server.url() + "postgres", server.user(), server.password()).connect();
                var statement = connection.createStatement()) {
            // Loading the demo takes a while: the tests of the application leave it to be copied.
            ResultSet newest = statement.executeQuery(
                    "select datname from pg_database where datname like '" + TEMPLATES + "' order by oid desc");
            String from = newest.next() ? " template " + newest.getString(1) : "";
            statement.execute("create database " + name + from);
        }
        return new ServedDatabase(server.url() + name, server.user(), server.password());
    }
}
