package stillpond.bench.drill;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.function.IntUnaryOperator;
import stillpond.bench.ServedDatabase;
import stillpond.bench.ServedProcess;

/**
 * What the application does when it is treated badly: kills under load, hostile files, strangers, and a member who takes all that can be had. It
 * starts an application of its own on loopback, and fails if a promise is broken.
 */
final class Drill {

    private static final int KILLS_OF_SERVER = 100;
    private static final int KILLS_OF_DATABASE = 30;
    private static final int STOPS = 20;
    private static final int FILES = 2000;
    private static final int SECONDS_OF_ABUSE = 30;
    private static final int ABUSERS = 24;
    private static final int MINUTES_OF_WORK = 60;
    private static final int PEOPLE_AT_WORK = 50;

    private Drill() {}

    /** @param args the parts to do: {@code server}, {@code database}, {@code stop}, {@code files}, {@code strangers},
     *     {@code abuse}, {@code soak}; none: all but the last, which takes an hour; with a number after a sign of equality so many kills, files, seconds or minutes */
    public static void main(String[] args) throws Exception {
        List<String> parts =
                args.length == 0 ? List.of("strangers", "abuse", "files", "stop", "server", "database") : List.of(args);
        Path jar = Path.of(System.getenv("POND_DRILL_JAR"));
        try (ServedProcess pond = new ServedProcess(jar, ServedDatabase.ofEnvironment())) {
            for (String part : parts) {
                pond.url();
                System.out.println(part + ": " + run(part, pond));
            }
        }
    }

    private static Object run(String asked, ServedProcess pond) throws Exception {
        String[] parts = asked.split("=");
        String part = parts[0];
        IntUnaryOperator count = usual -> parts.length > 1 ? Integer.parseInt(parts[1]) : usual;
        return switch (part) {
            case "server" ->
                new KillDrill(pond, count.applyAsInt(KILLS_OF_SERVER), () -> {
                            pond.kill();
                            pond.start();
                        })
                        .run();
            case "database" -> new KillDrill(pond, count.applyAsInt(KILLS_OF_DATABASE), Drill::killDatabase).run();
            case "stop" ->
                new KillDrill(pond, count.applyAsInt(STOPS), () -> {
                            pond.close();
                            pond.start();
                        })
                        .run()
                        .inGoodOrder();
            case "files" -> new FileDrill(pond, true, count.applyAsInt(FILES)).run();
            case "strangers" -> new StrangerDrill(pond).run();
            case "abuse" -> new AbuseDrill(pond, count.applyAsInt(SECONDS_OF_ABUSE), ABUSERS).run();
            case "soak" ->
                new SoakDrill(
                                pond,
                                PEOPLE_AT_WORK,
                                Duration.ofMinutes(count.applyAsInt(MINUTES_OF_WORK)),
                                Duration.ofMinutes(1))
                        .run();
            default -> throw new IllegalArgumentException("There is no part '" + part + "' of the drill.");
        };
    }

    /** The way to the processes of the database is a matter of the machine, and told by whoever starts the drill. */
    private static void killDatabase() throws Exception {
        int answer = new ProcessBuilder("bash", "-c", System.getenv("POND_DRILL_KILL_DATABASE"))
                .inheritIO()
                .start()
                .waitFor();
        if (answer != 0) {
            throw new IllegalStateException("The database could not be killed and started again.");
        }
    }
}
