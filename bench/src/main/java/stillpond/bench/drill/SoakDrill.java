package stillpond.bench.drill;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import stillpond.bench.DemoMember;
import stillpond.bench.ServedProcess;

/**
 * People at work for a long time: they fill as quick hands do, and look at pages now and then. What the application holds is measured again and again; between the second quarter of the time, when
 * whatever is kept for quickness has been filled, and the last one nothing may have grown.
 */
final class SoakDrill {

    /** So many fills before somebody looks at a page. */
    private static final int FILLS_BETWEEN_PAGES = 25;

    private static final List<String> PAGES = List.of("", "/ledger", "/compare", "/remarks", "/story", "/members");
    private static final Pattern TOTAL = Pattern.compile("Total\\s+\\d+\\s+(\\d+)");

    private final ServedProcess pond;
    private final int people;
    private final Duration length;
    private final Duration between;
    /**
     * Taken to read by everybody who asks for something, and to write while it is measured: collecting the heap stops the application, on a machine that has put memory aside for half a minute, and
     * who waited all that time for a connection would be told that there is none.
     */
    private final ReadWriteLock measuring = new ReentrantReadWriteLock();

    private final AtomicBoolean isOver = new AtomicBoolean();
    private final AtomicLong fills = new AtomicLong();
    private final AtomicLong looks = new AtomicLong();
    private final Queue<String> failures = new ConcurrentLinkedQueue<>();

    /** @param between two measurements */
    SoakDrill(ServedProcess pond, int people, Duration length, Duration between) {
        this.pond = pond;
        this.people = people;
        this.length = length;
        this.between = between;
    }

    /**
     * What is held at a moment.
     *
     * @param heapMb in use after everything that nobody needs was collected
     * @param files open, sockets too
     * @param connections to the database
     * @param sessions that are kept
     * @param spooled files beside the database
     */
    record Held(double heapMb, int threads, int files, int connections, int sessions, int spooled) {}

    /** @throws IllegalStateException from its making if anything has grown, nobody did anything, or anything was not answered as it should be */
    record Figures(long fills, long looks, Held early, Held late, List<String> failures) {
        Figures {
            boolean hasGrown = late.heapMb > early.heapMb * 1.2 + 10
                    || late.threads > early.threads + 10
                    || late.files > early.files + 20
                    || late.connections > early.connections + 5
                    || late.sessions > early.sessions + 5
                    || late.spooled > early.spooled + 5;
            if (hasGrown || fills == 0 || looks == 0 || !failures.isEmpty()) {
                throw new IllegalStateException(words(fills, looks, early, late) + failures);
            }
        }

        private static String words(long fills, long looks, Held early, Held late) {
            return fills + " fills and " + looks + " pages; held in the second quarter " + early + ", in the last "
                    + late;
        }

        @Override
        public String toString() {
            return words(fills, looks, early, late);
        }
    }

    Figures run() throws Exception {
        String url = pond.url();
        DemoMember lead = new DemoMember(url, "lead");
        String project = lead.project();
        List<String> sheets = lead.sheets(project);
        ExecutorService threads = Executors.newFixedThreadPool(people);
        List<Future<?>> working = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            DemoMember member = lead.invite(project);
            String sheet = sheets.get(i % sheets.size());
            Random random = new Random(i);
            working.add(threads.submit(() -> {
                work(member, project, sheet, random);
                return null;
            }));
        }
        List<Held> held = new ArrayList<>();
        Instant end = Instant.now().plus(length);
        while (Instant.now().isBefore(end)) {
            Thread.sleep(between.toMillis());
            measuring.writeLock().lock();
            Held now;
            try {
                now = measure();
            } finally {
                measuring.writeLock().unlock();
            }
            System.out.println(Instant.now() + " " + fills + " fills, " + failures.size() + " failures, " + now);
            held.add(now);
        }
        isOver.set(true);
        for (Future<?> each : working) {
            each.get();
        }
        threads.shutdown();
        int quarter = Math.max(1, held.size() / 4);
        return new Figures(
                fills.get(),
                looks.get(),
                mean(held.subList(quarter, Math.min(held.size(), 2 * quarter))),
                mean(held.subList(held.size() - quarter, held.size())),
                List.copyOf(failures));
    }

    private void work(DemoMember member, String project, String sheet, Random random) throws Exception {
        DemoMember.Desk desk = member.desk(sheet);
        for (int i = 1; !isOver.get(); i++) {
            Thread.sleep(200 + random.nextInt(800));
            String change = "["
                    + desk.laying(
                            UUID.randomUUID(), random.nextInt(desk.swatches().size()), random.nextInt(desk.cells()))
                    + "]";
            if (isAnswered(() -> member.post(sheet + "/changes", change))) {
                fills.incrementAndGet();
            }
            if (i % FILLS_BETWEEN_PAGES == 0) {
                String page = PAGES.get(random.nextInt(PAGES.size()));
                if (isAnswered(() -> member.get(project + page))) {
                    looks.incrementAndGet();
                }
            }
        }
    }

    /** What goes wrong is kept, and the others go on: an hour of figures is not lost with one answer. */
    private boolean isAnswered(Callable<HttpResponse<String>> request) {
        measuring.readLock().lock();
        try {
            HttpResponse<String> answer = request.call();
            if (answer.statusCode() == 200) {
                return true;
            }
            failures.add(Instant.now() + ": " + answer.statusCode() + " " + answer.body());
        } catch (Exception e) {
            failures.add(Instant.now() + ": " + e);
        } finally {
            measuring.readLock().unlock();
        }
        return false;
    }

    private Held measure() throws Exception {
        Path process = Path.of("/proc", String.valueOf(pond.pid()));
        int threads;
        int files;
        try (Stream<Path> each = Files.list(process.resolve("task"))) {
            threads = (int) each.count();
        }
        try (Stream<Path> each = Files.list(process.resolve("fd"))) {
            files = (int) each.count();
        }
        return new Held(
                heapMb(),
                threads,
                files,
                count("select count(*) from pg_stat_activity where datname = current_database()"),
                count("select count(*) from spring_session"),
                spooled());
    }

    private double heapMb() throws IOException, InterruptedException {
        Process histogram = new ProcessBuilder("jcmd", String.valueOf(pond.pid()), "GC.class_histogram")
                .redirectErrorStream(true)
                .start();
        String text = new String(histogram.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        histogram.waitFor();
        Matcher total = TOTAL.matcher(text);
        if (!total.find()) {
            throw new IllegalStateException(
                    "The heap could not be measured: " + text.lines().findFirst());
        }
        return Long.parseLong(total.group(1)) / 1e6;
    }

    private int count(String sql) throws SQLException {
        try (var connection = pond.database().connect();
                var result = connection.createStatement().executeQuery(sql)) {
            result.next();
            return result.getInt(1);
        }
    }

    private static int spooled() throws IOException {
        try (Stream<Path> each = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
            return (int) each.filter(file -> file.getFileName().toString().startsWith("still-pond-"))
                    .filter(file -> !file.getFileName().toString().startsWith("still-pond-served"))
                    .count();
        }
    }

    private static Held mean(List<Held> held) {
        return new Held(
                Math.round(mean(held, Held::heapMb) * 10) / 10.0,
                (int) Math.round(mean(held, Held::threads)),
                (int) Math.round(mean(held, Held::files)),
                (int) Math.round(mean(held, Held::connections)),
                (int) Math.round(mean(held, Held::sessions)),
                (int) Math.round(mean(held, Held::spooled)));
    }

    private static double mean(List<Held> held, ToDoubleFunction<Held> what) {
        return held.stream().mapToDouble(what).average().orElseThrow();
    }
}
