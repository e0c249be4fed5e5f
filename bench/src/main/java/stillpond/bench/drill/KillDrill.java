package stillpond.bench.drill;

import java.io.IOException;
import java.net.ConnectException;
import java.net.http.HttpResponse;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import stillpond.bench.DemoMember;
import stillpond.bench.DemoMember.Desk;
import stillpond.bench.ServedProcess;

/**
 * Kills something again and again while people fill, undo and redo, each sending a change until it is acknowledged, as a desk does. Then
 * every acknowledged change must be stored, once, and the log played again must lead to what the sheets wear and to where each person
 * stands on their line of undo.
 */
final class KillDrill {

    private static final int PEOPLE = 6;
    private static final int RETRY_MS = 100;
    private static final int SHORTEST_LIFE_MS = 300;
    private static final int LIFE_SPREAD_MS = 1200;

    private final ServedProcess pond;
    private final int kills;
    private final Kill kill;
    private final Set<UUID> acknowledged = ConcurrentHashMap.newKeySet();
    private final AtomicInteger faults = new AtomicInteger();
    private final Map<UUID, Instant> cutOff = new ConcurrentHashMap<>();
    private final AtomicBoolean isOver = new AtomicBoolean();

    KillDrill(ServedProcess pond, int kills, Kill kill) {
        this.pond = pond;
        this.kills = kills;
        this.kill = kill;
    }

    /** Ends something at once, and starts it again. */
    interface Kill {
        void run() throws Exception;
    }

    /**
     * @param faults answers that say that something went wrong (500 and above)
     * @param cutOff changes whose connection ended before an answer came
     * @param unanswered those of them that had been made all the same
     * @throws IllegalStateException from its making if a promise is broken
     */
    record Figures(
            int kills,
            int acknowledged,
            int lost,
            int doubled,
            int faults,
            int cutOff,
            int unanswered,
            Replay.Figures replayed) {
        Figures {
            if (acknowledged < kills || lost > 0 || doubled > 0) {
                throw new IllegalStateException(
                        acknowledged + " acknowledged, " + lost + " lost, " + doubled + " doubled, " + replayed);
            }
        }

        @Override
        public String toString() {
            return kills + " kills, " + acknowledged + " acknowledged changes: lost " + lost + ", doubled " + doubled
                    + "; " + faults + " faults, " + cutOff + " cut off, " + unanswered + " of them made; "
                    + replayed;
        }

        /** @throws IllegalStateException if what was begun was not ended, as it is when a node is told to stop; what it had not read yet is sent to another */
        Figures inGoodOrder() {
            if (faults > 0 || unanswered > 0) {
                throw new IllegalStateException("Not in good order: " + this);
            }
            return this;
        }
    }

    Figures run() throws Exception {
        String url = pond.url();
        Replay replay = new Replay(pond.database());
        List<String> sheets = new DemoMember(url, "lead").sheets();
        ExecutorService threads = Executors.newFixedThreadPool(PEOPLE);
        List<Future<?>> working = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            int number = i;
            String sheet = sheets.get(i % sheets.size());
            DemoMember member = new DemoMember(url, i % 2 == 0 ? "lead" : "colourist");
            Desk desk = member.desk(sheet);
            working.add(threads.submit(() -> {
                work(member, desk, new Random(number));
                return null;
            }));
        }
        Random random = new Random(kills);
        for (int i = 0; i < kills; i++) {
            pond.url();
            Thread.sleep(SHORTEST_LIFE_MS + random.nextInt(LIFE_SPREAD_MS));
            kill.run();
        }
        pond.url();
        isOver.set(true);
        for (Future<?> each : working) {
            each.get();
        }
        threads.shutdown();
        return figures(replay);
    }

    private void work(DemoMember member, Desk desk, Random random) throws InterruptedException {
        List<UUID> made = new ArrayList<>();
        List<UUID> undone = new ArrayList<>();
        while (!isOver.get()) {
            UUID id = UUID.randomUUID();
            int act = random.nextInt(10);
            if (act < 2 && !made.isEmpty()) {
                UUID last = made.get(made.size() - 1);
                if (send(member, desk, id, step(id, "undo", last))) {
                    undone.add(made.remove(made.size() - 1));
                }
            } else if (act < 3 && !undone.isEmpty()) {
                UUID next = undone.get(undone.size() - 1);
                if (send(member, desk, id, step(id, "redo", next))) {
                    made.add(undone.remove(undone.size() - 1));
                }
            } else {
                String change = desk.laying(id, random.nextInt(desk.swatches().size()), random.nextInt(desk.cells()));
                if (send(member, desk, id, change)) {
                    made.add(id);
                    undone.clear();
                }
            }
        }
    }

    private static String step(UUID id, String kind, UUID concerns) {
        return "{\"id\":\"" + id + "\",\"kind\":\"" + kind + "\",\"concerns\":\"" + concerns + "\"}";
    }

    /** Sends a change until it is answered; returns whether it was made. */
    private boolean send(DemoMember member, Desk desk, UUID id, String change) throws InterruptedException {
        while (true) {
            try {
                HttpResponse<String> answer = member.post(desk.address() + "/changes", "[" + change + "]");
                if (answer.statusCode() >= 500) {
                    faults.incrementAndGet();
                }
                if (answer.statusCode() == 200) {
                    boolean isMade = answer.body().contains("\"made\"");
                    if (isMade) {
                        acknowledged.add(id);
                    }
                    return isMade;
                }
            } catch (ConnectException away) {
                // As a desk does, it is sent again.
            } catch (IOException broken) {
                cutOff.putIfAbsent(id, Instant.now());
            }
            Thread.sleep(RETRY_MS);
        }
    }

    private Figures figures(Replay replay) throws SQLException {
        Set<UUID> missing = new HashSet<>(acknowledged);
        int doubled = 0;
        int unanswered = 0;
        Set<UUID> seen = new HashSet<>();
        try (var connection = pond.database().connect();
                var rows = connection.createStatement().executeQuery("select id, made_at from change")) {
            while (rows.next()) {
                UUID id = rows.getObject(1, UUID.class);
                missing.remove(id);
                doubled += seen.add(id) ? 0 : 1;
                Instant ended = cutOff.getOrDefault(id, Instant.EPOCH);
                unanswered += rows.getTimestamp(2).toInstant().isBefore(ended) ? 1 : 0;
            }
        }
        Replay.Figures replayed = replay.run();
        return new Figures(
                kills, acknowledged.size(), missing.size(), doubled, faults.get(), cutOff.size(), unanswered, replayed);
    }
}
