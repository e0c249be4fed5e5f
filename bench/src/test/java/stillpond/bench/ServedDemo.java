package stillpond.bench;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.TimeUnit;

/** The packed application with the demo, as a process of its own, on the server of databases that {@code ./pond test} has started. */
final class ServedDemo implements AutoCloseable {

    private static final Path JARS = Path.of("..", "app", "target");
    private static final Duration PATIENCE = Duration.ofMinutes(4);

    private final HttpClient client = HttpClient.newHttpClient();
    private final ServedDatabase database;
    private final Process process;
    private final String url;
    private final Path log;

    ServedDemo() throws IOException, SQLException {
        database = newDatabase();
        int port = freePort();
        url = "http://127.0.0.1:" + port;
        log = Files.createTempFile("still-pond-bench", ".log");
        ProcessBuilder builder = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-Djava.awt.headless=true",
                        "-Xmx2g",
                        "-jar",
                        jar().toString())
                .redirectErrorStream(true)
                .redirectOutput(log.toFile());
        Map<String, String> settings = builder.environment();
        settings.put("POND_PORT", String.valueOf(port));
        settings.put("POND_DEMO", "true");
        settings.put("POND_DB_URL", database.url());
        settings.put("POND_DB_USER", database.user());
        settings.put("POND_DB_PASSWORD", database.password());
        process = builder.start();
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
            statement.execute("create database " + name);
        }
        return new ServedDatabase(server.url() + name, server.user(), server.password());
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    /** Once it is healthy. */
    String url() throws IOException, InterruptedException {
        Instant end = Instant.now().plus(PATIENCE);
        while (!isHealthy()) {
            if (!process.isAlive() || Instant.now().isAfter(end)) {
                throw new IllegalStateException("It did not come up:\n" + Files.readString(log));
            }
            process.onExit().completeOnTimeout(process, 1, TimeUnit.SECONDS).join();
        }
        return url;
    }

    private boolean isHealthy() throws InterruptedException {
        try {
            HttpRequest request =
                    HttpRequest.newBuilder(URI.create(url + "/actuator/health")).build();
            return client.send(request, BodyHandlers.discarding()).statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    ServedDatabase database() {
        return database;
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
