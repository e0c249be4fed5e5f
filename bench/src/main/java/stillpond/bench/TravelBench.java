package stillpond.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A project of many sheets as a file: out, and in again where it came from. */
final class TravelBench {

    private static final int SHEETS = 200;
    private static final int MEGAPIXELS = 2;
    private static final int FILLED = 60;
    private static final long PATIENCE_MILLIS = 60L * 60 * 1000;
    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

    private final DemoMember lead;
    private final int sheets;

    /** @param sheets that the project is to have */
    TravelBench(DemoMember lead, int sheets) {
        this.lead = lead;
        this.sheets = sheets;
    }

    /** @param out milliseconds until the file was there, {@code in} until the project was */
    record Figure(int sheets, long layers, long bytes, long out, long in) {

        String words() {
            return "%d sheets of %d megapixels, %d layers: %.1f MB, out in %.1f s, in again in %.1f s"
                    .formatted(sheets, MEGAPIXELS, layers, bytes / 1e6, out / 1e3, in / 1e3);
        }
    }

    /** @param args the address of the server; how many sheets, 200 unless told */
    public static void main(String[] args) throws Exception {
        int sheets = args.length > 1 ? Integer.parseInt(args[1]) : SHEETS;
        DemoMember lead = new DemoMember(args[0], "lead");
        System.out.println(new TravelBench(lead, sheets)
                .run(ServedDatabase.ofEnvironment())
                .words());
    }

    Figure run(ServedDatabase database) throws IOException, InterruptedException, SQLException {
        String project = "/projects/"
                + id(lead.submit("/projects", "title=Many+sheets")
                        .headers()
                        .firstValue("HX-Redirect")
                        .orElseThrow());
        String scene = id(lead.submit(project + "/scenes", "title=All").body());
        for (int i = 0; i < sheets; i++) {
            HttpResponse<String> brought = lead.upload(
                    project + "/scenes/" + scene + "/sheets", "Sheet " + i + ".png", MadePage.png(MEGAPIXELS, i + 1));
            if (brought.statusCode() != 201) {
                throw new IllegalStateException("Sheet " + i + ": " + brought.body());
            }
        }
        String projectId = id(project);
        waitUntil(
                database,
                "select count(*) from layer l join sheet s on s.id = l.sheet_id where l.is_current and l.analysis_version = 0 and s.project_id = '"
                        + projectId + "'");
        for (String sheet : lead.sheets(project)) {
            fill(sheet);
        }
        Path file = Files.createTempFile("still-pond-bench-", ".zip");
        try {
            long start = System.nanoTime();
            HttpResponse<Path> kept = lead.keep(project + "/export/project.zip?history=true", file);
            long out = (System.nanoTime() - start) / 1_000_000;
            long bytes = Files.size(kept.body());
            start = System.nanoTime();
            HttpResponse<String> taken = lead.sendFile("/shelf/project-file", file);
            long in = (System.nanoTime() - start) / 1_000_000;
            String copy = id(taken.body());
            long layers = count(database, projectId);
            if (taken.statusCode() != 201
                    || count(database, copy) != layers
                    || lead.sheets("/projects/" + copy).size() != sheets) {
                throw new IllegalStateException("The project did not come in whole: " + taken.body());
            }
            return new Figure(sheets, layers, bytes, out, in);
        } finally {
            Files.delete(file);
        }
    }

    private void fill(String sheet) throws IOException, InterruptedException {
        DemoMember.Desk desk = lead.desk(sheet);
        for (int cell = 0; cell < Math.min(FILLED, desk.cells()); cell += 20) {
            HttpResponse<String> laid = lead.post(
                    sheet + "/changes",
                    "["
                            + desk.laying(
                                    UUID.randomUUID(),
                                    cell / 20 % desk.swatches().size(),
                                    cell) + "]");
            if (laid.statusCode() != 200) {
                throw new IllegalStateException("Nothing was laid: " + laid.body());
            }
        }
    }

    private static String id(String text) {
        Matcher matcher = ID.matcher(text);
        return matcher.find() ? matcher.group(1) : text.substring(text.lastIndexOf('/') + 1);
    }

    private static long count(ServedDatabase database, String project) throws SQLException {
        return number(
                database,
                "select count(*) from layer l join sheet s on s.id = l.sheet_id where s.project_id = '" + project
                        + "'");
    }

    private static void waitUntil(ServedDatabase database, String none) throws SQLException, InterruptedException {
        long end = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (number(database, none) > 0) {
            if (System.currentTimeMillis() > end) {
                throw new IllegalStateException("The gaps were not found in time.");
            }
            Thread.sleep(1000);
        }
    }

    private static long number(ServedDatabase database, String query) throws SQLException {
        try (Connection connection = database.connect();
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getLong(1);
        }
    }
}
