package stillpond.bench;

import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * People of the demo filling at once over HTTP: each waits a fifth to a second between two fills, as a quick hand does. Prints how long a fill takes and
 * whether every acknowledged change is stored, once.
 */
final class LoadBench {

    private static final Load FULL = new Load(50, 20, 60);

    private final String url;
    private final ServedDatabase database;
    private final Load load;
    private final AtomicLong acknowledged = new AtomicLong();

    LoadBench(String url, ServedDatabase database, Load load) {
        this.url = url;
        this.database = database;
        this.load = load;
    }

    /**
     * @param warmUp how many fills of each are not counted
     * @param fills how many of each are
     */
    record Load(int people, int warmUp, int fills) {}

    /**
     * In milliseconds; and how many changes were acknowledged and stored.
     *
     * @throws IllegalStateException if the last two differ
     */
    record Figures(Load load, double p50, double p95, double p99, long acknowledged, long stored) {
        Figures {
            if (acknowledged == 0 || acknowledged != stored) {
                throw new IllegalStateException(
                        "Not every fill that was acknowledged is stored, once: " + acknowledged + ", " + stored);
            }
        }

        @Override
        public String toString() {
            return String.format(
                    "%d people, %d fills each: p50 %.1f ms, p95 %.1f ms, p99 %.1f ms; %d acknowledged, %d stored",
                    load.people, load.fills + load.warmUp, p50, p95, p99, acknowledged, stored);
        }
    }

    public static void main(String[] args) throws Exception {
        System.out.println(new LoadBench(args[0], ServedDatabase.ofEnvironment(), FULL).run());
    }

    Figures run() throws Exception {
        Person scout = new Person(0);
        List<String> sheets = scout.sheets();
        long storedBefore = stored();
        ExecutorService threads = Executors.newFixedThreadPool(load.people);
        List<Future<long[]>> running = new ArrayList<>();
        for (int i = 0; i < load.people; i++) {
            Person person = new Person(i);
            String sheet = sheets.get(i % sheets.size());
            running.add(threads.submit(() -> person.work(sheet)));
        }
        List<Long> nanos = new ArrayList<>();
        for (Future<long[]> person : running) {
            Arrays.stream(person.get()).skip(load.warmUp).forEach(nanos::add);
        }
        threads.shutdown();
        nanos.sort(null);
        return new Figures(
                load, at(nanos, 0.5), at(nanos, 0.95), at(nanos, 0.99), acknowledged.get(), stored() - storedBefore);
    }

    private static double at(List<Long> sorted, double share) {
        return sorted.get((int) (share * (sorted.size() - 1))) / 1e6;
    }

    private long stored() throws SQLException {
        try (var connection = database.connect();
                var result = connection.createStatement().executeQuery("select count(*) from change")) {
            result.next();
            return result.getLong(1);
        }
    }

    /** One session of a demo person. */
    private final class Person {

        private static final Pattern SWATCH =
                Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"name\":\"[^\"]*\",\"part\"");

        private static final Pattern TOKEN = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"");

        private final HttpClient client =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        private final Random random;
        private String token;

        Person(int number) throws Exception {
            random = new Random(number);
            token = first(TOKEN, get("/sign-in"));
            String who = number % 2 == 0 ? "colourist" : "lead";
            client.send(
                    request("/demo/sign-in")
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .POST(BodyPublishers.ofString("who=" + who))
                            .build(),
                    BodyHandlers.discarding());
            token = first(TOKEN, get("/"));
        }

        List<String> sheets() throws Exception {
            String project = first(Pattern.compile("href=\"(/projects/[0-9a-f-]{36})\""), get("/"));
            Matcher matcher = Pattern.compile("href=\"(" + project + "/sheets/[0-9a-f-]{36})\"")
                    .matcher(get(project));
            return matcher.results().map(result -> result.group(1)).distinct().toList();
        }

        long[] work(String sheet) throws Exception {
            String state = get(sheet + "/desk");
            String layer = first(Pattern.compile("\"layers\":\\[\\{\"id\":\"([0-9a-f-]{36})\""), state);
            int cells = Integer.parseInt(first(Pattern.compile("\"cellCount\":(\\d+)"), state));
            List<String> swatches = SWATCH.matcher(state)
                    .results()
                    .map(result -> result.group(1))
                    .toList();
            if (swatches.isEmpty()) {
                throw new IllegalStateException("The desk of " + sheet + " names no swatch to fill with.");
            }
            long[] nanos = new long[load.fills + load.warmUp];
            for (int i = 0; i < nanos.length; i++) {
                Thread.sleep(200 + random.nextInt(800));
                String fill = swatches.get(random.nextInt(swatches.size()));
                String change = "[{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"lay\",\"layer\":\"" + layer
                        + "\",\"fills\":{\"" + fill + "\":[" + random.nextInt(cells) + "]}}]";
                long start = System.nanoTime();
                HttpResponse<String> answer = client.send(
                        request(sheet + "/changes")
                                .header("Content-Type", "application/json")
                                .POST(BodyPublishers.ofString(change))
                                .build(),
                        BodyHandlers.ofString());
                nanos[i] = System.nanoTime() - start;
                if (answer.statusCode() != 200) {
                    throw new IllegalStateException(answer.statusCode() + ": " + answer.body());
                }
                if (answer.body().contains("\"made\"")) {
                    acknowledged.incrementAndGet();
                }
            }
            return nanos;
        }

        private String get(String path) throws Exception {
            return client.send(request(path).build(), BodyHandlers.ofString()).body();
        }

        private HttpRequest.Builder request(String path) {
            HttpRequest.Builder request =
                    HttpRequest.newBuilder(URI.create(url + path)).header("X-Requested-With", "desk");
            return token == null ? request : request.header("X-CSRF-TOKEN", token);
        }
    }

    private static String first(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException("No " + pattern + " in the answer.");
        }
        return matcher.group(1);
    }
}
