package stillpond.bench.drill;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import stillpond.bench.DemoMember;
import stillpond.bench.DemoMember.Desk;
import stillpond.bench.ServedProcess;

/**
 * How long a fill of others takes while one member asks for all that can be had: whole pictures, checks, carries, new analyses, uploads and
 * long messages, from many threads without a pause, and holds connections on which hardly anything comes.
 */
final class AbuseDrill {

    private static final int OTHERS = 4;
    private static final int SLOW_LINES = 100;
    private static final double MOST_RATIO = 2;

    private final ServedProcess pond;
    private final int seconds;
    private final int threads;

    /** @param threads of the abusive member */
    AbuseDrill(ServedProcess pond, int seconds, int threads) {
        this.pond = pond;
        this.seconds = seconds;
        this.threads = threads;
    }

    /** 95th percentiles in milliseconds. */
    record Figures(int fills, double alone, double beside, long asked) {
        boolean isFair() {
            return beside <= MOST_RATIO * alone;
        }

        @Override
        public String toString() {
            return String.format(
                    "%d fills of others: p95 %.1f ms alone, %.1f ms beside an abusive member (%.1f times, %s), who asked for %d things",
                    fills,
                    alone,
                    beside,
                    beside / alone,
                    isFair() ? "held" : "MISSED: at the most 2 are wanted",
                    asked);
        }
    }

    Figures run() throws Exception {
        String url = pond.url();
        List<String> sheets = new DemoMember(url, "lead").sheets();
        List<Other> others = new ArrayList<>();
        for (int i = 0; i < OTHERS; i++) {
            DemoMember member = new DemoMember(url, "lead");
            others.add(new Other(member, member.desk(sheets.get(i % sheets.size()))));
        }
        fills(others);
        List<Long> alone = fills(others);
        AtomicBoolean isOver = new AtomicBoolean();
        AtomicLong asked = new AtomicLong();
        ExecutorService abuse = Executors.newFixedThreadPool(threads);
        List<Future<?>> abusing = new ArrayList<>();
        String project = new DemoMember(url, "colourist").project();
        for (int i = 0; i < threads; i++) {
            int number = i;
            DemoMember member = new DemoMember(url, "colourist");
            abusing.add(abuse.submit(() -> {
                abuse(member, project, sheets, new Random(number), isOver, asked);
                return null;
            }));
        }
        List<Socket> slow = slowLines(url);
        List<Long> beside = fills(others);
        isOver.set(true);
        for (Socket line : slow) {
            line.close();
        }
        for (Future<?> each : abusing) {
            each.get();
        }
        abuse.shutdown();
        return new Figures(beside.size(), p95(alone), p95(beside), asked.get());
    }

    private static double p95(List<Long> nanos) {
        List<Long> sorted = nanos.stream().sorted().toList();
        return sorted.get((int) (0.95 * (sorted.size() - 1))) / 1e6;
    }

    /** Somebody who works on a sheet. */
    private record Other(DemoMember member, Desk desk) {}

    private List<Long> fills(List<Other> others) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(OTHERS);
        List<Future<List<Long>>> working = new ArrayList<>();
        for (Other other : others) {
            DemoMember member = other.member();
            Desk desk = other.desk();
            Random random = new Random(working.size());
            working.add(hands.submit(() -> {
                List<Long> nanos = new ArrayList<>();
                long end = System.nanoTime() + seconds * 1_000_000_000L;
                while (System.nanoTime() < end) {
                    Thread.sleep(100 + random.nextInt(200));
                    String change = desk.laying(
                            UUID.randomUUID(), random.nextInt(desk.swatches().size()), random.nextInt(desk.cells()));
                    long start = System.nanoTime();
                    int status = member.post(desk.address() + "/changes", "[" + change + "]")
                            .statusCode();
                    nanos.add(System.nanoTime() - start);
                    if (status != 200) {
                        throw new IllegalStateException("A fill of somebody else was answered " + status);
                    }
                }
                return nanos;
            }));
        }
        List<Long> all = new ArrayList<>();
        for (Future<List<Long>> each : working) {
            all.addAll(each.get());
        }
        hands.shutdown();
        return all;
    }

    private static void abuse(
            DemoMember member,
            String project,
            List<String> sheets,
            Random random,
            AtomicBoolean isOver,
            AtomicLong asked)
            throws IOException, InterruptedException {
        do {
            String sheet = sheets.get(random.nextInt(sheets.size()));
            switch (random.nextInt(7)) {
                case 0 -> member.get(sheet + "/export/composed.png");
                case 1 -> member.get(sheet + "/check");
                case 2 ->
                    member.post(sheet + "/dams", "[" + "{\"x\":1,\"y\":1},".repeat(120_000) + "{\"x\":1,\"y\":1}]");
                case 3 ->
                    member.upload(
                            project + "/cards/plan",
                            "a.css",
                            "-".repeat(900_000).getBytes(StandardCharsets.UTF_8));
                case 4 -> member.get(project + "/compare");
                case 5 ->
                    member.post(
                            sheet + "/carry",
                            "{\"sources\":[\""
                                    + sheets.get(0).substring(sheets.get(0).length() - 36)
                                    + "\"],\"overFilled\":true}");
                default -> member.get(sheet + "/desk");
            }
            asked.incrementAndGet();
        } while (!isOver.get());
    }

    /** Connections on which a request is begun and never ended. */
    private static List<Socket> slowLines(String url) throws IOException {
        URI address = URI.create(url);
        List<Socket> lines = new ArrayList<>();
        for (int i = 0; i < SLOW_LINES; i++) {
            Socket line = new Socket(address.getHost(), address.getPort());
            line.getOutputStream()
                    .write(
                            "POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 900000\r\n\r\nusername="
                                    .getBytes(StandardCharsets.US_ASCII));
            line.getOutputStream().flush();
            lines.add(line);
        }
        return lines;
    }
}
