package stillpond.bench.drill;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import stillpond.bench.DemoMember;
import stillpond.bench.ServedProcess;

/**
 * Sends hostile files, some written by hand, the others made by changing good ones, to every address that reads a file. Each must be taken or
 * refused with words (4xx), soon, and leave nothing half done; nothing may be called outside.
 */
final class FileDrill {

    private static final int AT_ONCE = 4;
    private static final double MOST_SECONDS = 20;

    private final ServedProcess pond;
    private final boolean written;
    private final int changed;

    /**
     * @param written whether those written by hand are sent, some of which take their time
     * @param changed how many of the others
     */
    FileDrill(ServedProcess pond, boolean written, int changed) {
        this.pond = pond;
        this.written = written;
        this.changed = changed;
    }

    /** @throws IllegalStateException from its making if a promise is broken */
    record Figures(
            Map<String, Integer> answers, double longestSeconds, int callsOutside, long halfDone, boolean hadMemory) {
        Figures {
            boolean isWrong = answers.keySet().stream().anyMatch(answer -> answer.startsWith("5"));
            if (isWrong || longestSeconds > MOST_SECONDS || callsOutside > 0 || halfDone > 0 || !hadMemory) {
                throw new IllegalStateException(text(answers, longestSeconds, callsOutside, halfDone, hadMemory));
            }
        }

        @Override
        public String toString() {
            return text(answers, longestSeconds, callsOutside, halfDone, hadMemory);
        }

        private static String text(
                Map<String, Integer> answers, double seconds, int calls, long halfDone, boolean hadMemory) {
            return String.format(
                    "answers %s, the longest took %.1f s, %d calls outside, %d half done, %s",
                    answers, seconds, calls, halfDone, hadMemory ? "memory held" : "OUT OF MEMORY");
        }
    }

    /** How one file was answered. */
    private record Answer(String what, String name, int status, boolean hasWords, double seconds) {}

    Figures run() throws Exception {
        String url = pond.url();
        DemoMember lead = new DemoMember(url, "lead");
        String drilled = lead.project();
        Standing before = standing(drilled);
        try (ServerSocket outside = new ServerSocket(0)) {
            AtomicInteger calls = new AtomicInteger();
            Thread listening = new Thread(() -> listen(outside, calls));
            listening.setDaemon(true);
            listening.start();
            HostileFiles files = new HostileFiles(outside.getLocalPort(), projectFiles(lead));
            List<HostileFile> hostile = new ArrayList<>(written ? files.written() : List.of());
            hostile.addAll(files.changed(changed));
            ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);
            List<Future<List<Answer>>> sending = new ArrayList<>();
            for (int i = 0; i < AT_ONCE; i++) {
                int first = i;
                DemoMember member = new DemoMember(url, i % 2 == 0 ? "lead" : "colourist");
                String project = member.project();
                List<String> sheets = member.sheets();
                String scene = scene(project);
                sending.add(threads.submit(() -> {
                    List<Answer> answers = new ArrayList<>();
                    for (int j = first; j < hostile.size(); j += AT_ONCE) {
                        answers.add(send(member, project, scene, sheets.get(j % sheets.size()), hostile.get(j)));
                    }
                    return answers;
                }));
            }
            List<Answer> all = new ArrayList<>();
            for (Future<List<Answer>> each : sending) {
                all.addAll(each.get());
            }
            threads.shutdown();
            return figures(all, calls.get(), before, standing(drilled));
        }
    }

    private static void listen(ServerSocket outside, AtomicInteger calls) {
        try {
            while (true) {
                outside.accept().close();
                calls.incrementAndGet();
            }
        } catch (IOException closed) {
            // The drill is over.
        }
    }

    /** How many there are: what is taken adds to them, what is refused does not. */
    private record Standing(long sheets, long projects) {}

    /** @param project whose sheets are counted: those of projects that come in are no matter */
    private Standing standing(String project) throws SQLException {
        String id = project.substring(project.lastIndexOf('/') + 1);
        return new Standing(
                count("select count(*) from sheet where project_id = '" + id + "'"),
                count("select count(*) from project"));
    }

    /** The demo's cards, and one of its scenes, as they go out. */
    private List<byte[]> projectFiles(DemoMember lead) throws IOException, InterruptedException, SQLException {
        String project = lead.project();
        List<byte[]> files = new ArrayList<>();
        for (String scope : List.of("CARDS", "SCENES&scene=" + scene(project))) {
            Path file = Files.createTempFile("still-pond-drill-", ".zip");
            try {
                lead.keep(project + "/export/project.zip?scope=" + scope, file);
                files.add(Files.readAllBytes(file));
            } finally {
                Files.delete(file);
            }
        }
        return files;
    }

    private String scene(String project) throws SQLException {
        try (var connection = pond.database().connect();
                var asked =
                        connection.prepareStatement("select id::text from scene where project_id = ?::uuid limit 1")) {
            asked.setString(1, project.substring(project.lastIndexOf('/') + 1));
            var rows = asked.executeQuery();
            rows.next();
            return rows.getString(1);
        }
    }

    private static Answer send(DemoMember member, String project, String scene, String sheet, HostileFile file)
            throws IOException, InterruptedException {
        String path = switch (file.reader()) {
            case SHEET -> project + "/scenes/" + scene + "/sheets";
            case LINE_ART -> sheet + "/line-art";
            case FLATS -> sheet + "/flats?stretched=true";
            case PICTURE -> project + "/pictures";
            case MOTIF -> project + "/motifs";
            case CARDS -> project + "/cards/plan";
            case PROFILE -> project + "/print-condition";
            case BLOCKED_IN -> project + "/block-in?scene=" + scene + "&title=Drilled&size=A5&pixelsPerInch=72";
            case PROJECT -> "/shelf/project-file";
        };
        long start = System.nanoTime();
        HttpResponse<String> answer = file.reader() == HostileFile.Reader.PROJECT
                ? member.sendFile(path, file.content())
                : member.upload(path, file.name(), file.content());
        double seconds = (System.nanoTime() - start) / 1e9;
        return new Answer(
                file.reader().toString(),
                file.name(),
                answer.statusCode(),
                !answer.body().isBlank(),
                seconds);
    }

    private Figures figures(List<Answer> all, int calls, Standing before, Standing after)
            throws SQLException, IOException {
        Map<String, Integer> counts = new TreeMap<>();
        for (Answer each : all) {
            counts.merge(each.status() / 100 + "xx", 1, Integer::sum);
            if (each.status() >= 500 || each.status() >= 400 && !each.hasWords() || each.seconds() > MOST_SECONDS / 2) {
                System.out.println("look at: " + each);
            }
        }
        double longest = all.stream().mapToDouble(Answer::seconds).max().orElse(0);
        long halfDone = Math.abs(
                        after.sheets() - before.sheets() - taken(all, "SHEET", 201) - taken(all, "BLOCKED_IN", 302))
                + Math.abs(after.projects() - before.projects() - taken(all, "PROJECT", 201))
                + count("select count(*) from sheet s where not exists (select from layer l where l.sheet_id = s.id)");
        boolean hadMemory = pond.isAlive() && !pond.log().contains("OutOfMemoryError");
        return new Figures(counts, longest, calls, halfDone, hadMemory);
    }

    private static long taken(List<Answer> all, String what, int status) {
        return all.stream()
                .filter(each -> each.what().equals(what) && each.status() == status)
                .count();
    }

    private long count(String query) throws SQLException {
        try (var connection = pond.database().connect();
                var rows = connection.createStatement().executeQuery(query)) {
            rows.next();
            return rows.getLong(1);
        }
    }
}
