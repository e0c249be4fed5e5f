package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The scripts of the desk: each folder imports only from those below it. */
class DeskFoldersTest {

    private static final Path DESK = Path.of("src/main/web/src/desk").toAbsolutePath();

    /** Lowest first. */
    private static final List<String> ORDER = List.of(
            "geometry",
            "model",
            "view",
            "hand",
            "shore",
            "here",
            "lines",
            "gaps",
            "layers",
            "ledger",
            "kinds",
            "shadows",
            "blockin",
            "sampling",
            "check",
            "remarks",
            "carry",
            "ink",
            "together",
            "shell");

    private static final Pattern IMPORTED = Pattern.compile("from \"(\\.[^\"]+)\"");

    @Test
    void foldersImportOneWay() throws IOException {
        try (Stream<Path> files = Files.walk(DESK)) {
            List<String> wrong = files.filter(file -> file.toString().endsWith(".ts"))
                    .filter(file -> !file.getParent().equals(DESK))
                    .flatMap(DeskFoldersTest::upwards)
                    .toList();
            assertThat(wrong).isEmpty();
        }
    }

    @Test
    void everyFolderHasAPlaceInTheOrder() throws IOException {
        try (Stream<Path> folders = Files.list(DESK)) {
            assertThat(folders.filter(Files::isDirectory)
                            .map(each -> each.getFileName().toString()))
                    .containsExactlyInAnyOrderElementsOf(ORDER);
        }
    }

    private static Stream<String> upwards(Path file) {
        int own = placeOf(file);
        return imported(file)
                .filter(each -> each.startsWith(DESK) && placeOf(each) > own)
                .map(each -> DESK.relativize(file) + " imports " + DESK.relativize(each));
    }

    private static Stream<Path> imported(Path file) {
        try {
            return IMPORTED.matcher(Files.readString(file))
                    .results()
                    .map(found -> file.getParent().resolve(found.group(1)).normalize());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int placeOf(Path file) {
        return ORDER.indexOf(DESK.relativize(file).getName(0).toString());
    }
}
