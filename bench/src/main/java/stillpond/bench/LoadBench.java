package stillpond.bench;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicLong;

/**
 * People of the demo filling at once over HTTP: each waits a fifth to a second between two fills, as a quick hand does. Prints how long a fill takes, how much of
 * the processors the application and its database take for one, and whether every acknowledged change is stored, once.
 */
final class LoadBench {

    private static final Load FULL = new Load(50, 500, 100, 100);

    /** Until the compiler of the application has done its work, a fill takes several times of what it takes on a server that has run for an hour: people are this many times as quick at first. */
    private static final int QUICKER_WHILE_WARMING = 5;

    private final List<String> nodes;
    private final ServedDatabase database;
    private final Load load;
    private final AtomicLong acknowledged = new AtomicLong();

    /** @param nodes where the application is, over one database; people take them in turn */
    LoadBench(List<String> nodes, ServedDatabase database, Load load) {
        this.nodes = nodes;
        this.database = database;
        this.load = load;
    }

    /**
     * @param warmUp how many quick fills of each are not counted
     * @param settling how many of each after that, at the usual pace, are not counted: the compiler has time for what has waited for it
     * @param fills how many of each are counted
     */
    record Load(int people, int warmUp, int settling, int fills) {
        int inAll() {
            return warmUp + settling + fills;
        }

        /** The same, with as many fills to get warm for each of some nodes. */
        Load onNodes(int count) {
            return new Load(people, warmUp * count, settling, fills);
        }
    }

    /**
     * How many changes were acknowledged and stored, and what those that count took, in milliseconds.
     *
     * @param application processor time of all nodes for one fill
     * @param storing processor time of the database for one fill
     * @throws IllegalStateException if not all that were acknowledged are stored
     */
    record Figures(
            Load load,
            double p50,
            double p95,
            double p99,
            double application,
            double storing,
            long acknowledged,
            long stored) {
        Figures {
            if (acknowledged == 0 || acknowledged != stored) {
                throw new IllegalStateException(
                        "Not every fill that was acknowledged is stored, once: " + acknowledged + ", " + stored);
            }
        }

        @Override
        public String toString() {
            return String.format(
                    "%d people, %d fills each: p50 %.1f ms, p95 %.1f ms, p99 %.1f ms; processor for one fill:"
                            + " application %.1f ms, database %.1f ms; %d acknowledged, %d stored",
                    load.people, load.inAll(), p50, p95, p99, application, storing, acknowledged, stored);
        }
    }

    /** @param args where the application is, and on how many nodes: 1 if left out */
    public static void main(String[] args) throws Exception {
        ServedDatabase database = ServedDatabase.ofEnvironment();
        List<String> nodes = new ArrayList<>(List.of(args[0]));
        List<ServedProcess> others = new ArrayList<>();
        try {
            for (int more = args.length > 1 ? Integer.parseInt(args[1]) - 1 : 0; more > 0; more--) {
                ServedProcess other = new ServedProcess(Path.of(System.getenv("POND_BENCH_JAR")), database);
                others.add(other);
                nodes.add(other.url());
            }
            System.out.println(
                    nodes.size() + " nodes, " + new LoadBench(nodes, database, FULL.onNodes(nodes.size())).run());
        } finally {
            others.forEach(ServedProcess::close);
        }
    }

    Figures run() throws Exception {
        long storedBefore = stored();
        ExecutorService threads = Executors.newFixedThreadPool(load.people);
        List<Person> people = new ArrayList<>();
        for (int i = 0; i < load.people; i++) {
            DemoMember lead = new DemoMember(nodes.get(i % nodes.size()), "lead");
            people.add(new Person(i, lead.invite(lead.project())));
        }
        fill(threads, people, load.warmUp, QUICKER_WHILE_WARMING);
        fill(threads, people, load.settling, 1);
        ProcessorTime ofApplication = ProcessorTime.of("still-pond[.]jar|-boot[.]jar");
        ProcessorTime ofDatabase = ProcessorTime.of("bin/postgres");
        List<Long> nanos = fill(threads, people, load.fills, 1);
        double application = ofApplication.sinceMs() / nanos.size();
        double storing = ofDatabase.sinceMs() / nanos.size();
        threads.shutdown();
        nanos.sort(null);
        return new Figures(
                load,
                at(nanos, 0.5),
                at(nanos, 0.95),
                at(nanos, 0.99),
                application,
                storing,
                acknowledged.get(),
                stored() - storedBefore);
    }

    private static List<Long> fill(ExecutorService threads, List<Person> people, int times, int quickness)
            throws Exception {
        List<Callable<long[]>> work = new ArrayList<>();
        people.forEach(person -> work.add(() -> person.fill(times, quickness)));
        List<Long> nanos = new ArrayList<>();
        for (Future<long[]> person : threads.invokeAll(work)) {
            Arrays.stream(person.get()).forEach(nanos::add);
        }
        return nanos;
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

    /** Somebody at one of the demo's sheets. */
    private final class Person {

        private final DemoMember member;
        private final Random random;
        private final String sheet;
        private final DemoMember.Desk desk;

        Person(int number, DemoMember member) throws Exception {
            this.member = member;
            random = new Random(number);
            List<String> sheets = member.sheets();
            sheet = sheets.get(number % sheets.size());
            desk = member.desk(sheet);
        }

        /** @return how long each took */
        long[] fill(int times, int quickness) throws Exception {
            long[] nanos = new long[times];
            for (int i = 0; i < nanos.length; i++) {
                Thread.sleep((200 + random.nextInt(800)) / quickness);
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
