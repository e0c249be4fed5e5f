package stillpond.bench;

import java.net.http.HttpResponse;
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
        List<String> sheets = new DemoMember(url, "lead").sheets();
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

        private final DemoMember member;
        private final Random random;

        Person(int number) throws Exception {
            random = new Random(number);
            member = new DemoMember(url, number % 2 == 0 ? "colourist" : "lead");
        }

        long[] work(String sheet) throws Exception {
            DemoMember.Desk desk = member.desk(sheet);
            long[] nanos = new long[load.fills + load.warmUp];
            for (int i = 0; i < nanos.length; i++) {
                Thread.sleep(200 + random.nextInt(800));
                int swatch = random.nextInt(desk.swatches().size());
                String change = "[" + desk.laying(UUID.randomUUID(), swatch, random.nextInt(desk.cells())) + "]";
                long start = System.nanoTime();
                HttpResponse<String> answer = member.post(sheet + "/changes", change);
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
    }
}
