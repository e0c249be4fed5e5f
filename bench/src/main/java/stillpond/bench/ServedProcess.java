package stillpond.bench;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** The packed application with the demo, as a process of its own that can be killed and started again on its port. */
public final class ServedProcess implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofMinutes(4);

    private final HttpClient client = HttpClient.newHttpClient();
    private final Path jar;
    private final ServedDatabase database;
    private final int port;
    private final Path log;
    private Process process;

    /** Starts it; see {@link #url} for when it can be used. */
    public ServedProcess(Path jar, ServedDatabase database) throws IOException {
        this.jar = jar;
        this.database = database;
        this.port = freePort();
        this.log = Files.createTempFile("still-pond-served", ".log");
        start();
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    public void start() throws IOException {
        ProcessBuilder builder = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-Djava.awt.headless=true",
                        "-Xmx2g",
                        "-jar",
                        jar.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
        Map<String, String> settings = builder.environment();
        settings.put("POND_PORT", String.valueOf(port));
        settings.put("POND_DEMO", "true");
        // Nothing is to go on in the background while it is measured.
        settings.put("POND_QUIET", "1d");
        settings.put("POND_DB_URL", database.url());
        settings.put("POND_DB_USER", database.user());
        settings.put("POND_DB_PASSWORD", database.password());
        process = builder.start();
    }

    /** Ends it at once, as a loss of power does. */
    public void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    /** Once it is healthy. */
    public String url() throws IOException, InterruptedException {
        Instant end = Instant.now().plus(PATIENCE);
        while (!isHealthy()) {
            if (!process.isAlive() || Instant.now().isAfter(end)) {
                throw new IllegalStateException("It did not come up:\n" + log());
            }
            process.onExit()
                    .completeOnTimeout(process, 100, TimeUnit.MILLISECONDS)
                    .join();
        }
        return "http://127.0.0.1:" + port;
    }

    private boolean isHealthy() throws InterruptedException {
        try {
            HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/actuator/health"))
                    .timeout(Duration.ofSeconds(20))
                    .build();
            return client.send(request, BodyHandlers.discarding()).statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    public long pid() {
        return process.pid();
    }

    public boolean isAlive() {
        return process.isAlive();
    }

    public String log() throws IOException {
        return Files.readString(log);
    }

    public ServedDatabase database() {
        return database;
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
