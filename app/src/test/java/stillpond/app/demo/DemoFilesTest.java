package stillpond.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.core.io.ClassPathResource;
import stillpond.app.support.Heavy;
import stillpond.app.support.TestPond;
import stillpond.app.support.Unzipped;

/** What ships is the demo that the drawings make. */
class DemoFilesTest {

    private static final Path DRAWINGS = Path.of("../art/demo");

    @Test
    void itWasMadeOfTheDrawingsAsTheyAreAndByTheAnalysisAsItIs() throws IOException {
        String shipped =
                new ClassPathResource("demo/" + DemoFiles.MADE_FROM).getContentAsString(StandardCharsets.UTF_8);
        assertThat(shipped).as("run ./pond demo").isEqualTo(DemoFiles.state(DRAWINGS));
    }

    @ParameterizedTest
    @EnumSource
    void whatIsPackedIsTheWholeFolder(DemoFiles book, @TempDir Path folder) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        book.pack(packed);
        Map<String, byte[]> entries = Unzipped.of(packed.toByteArray());
        assertThat(entries).containsKeys("project.json", "sheets/00001.json", "history/00001.json");
        book.write(folder, out -> out.write(packed.toByteArray()));
        try (var files = Files.walk(folder)) {
            assertThat(files.filter(Files::isRegularFile))
                    .hasSize(entries.size())
                    .allSatisfy(file -> {
                        String name = file.subpath(folder.getNameCount() + 1, file.getNameCount())
                                .toString();
                        assertThat(entries.get(name)).as(name).isEqualTo(Files.readAllBytes(file));
                    });
        }
    }

    /** Planes and files lie under their hashes, so the same names are the same pixels and cells. */
    @Test
    @Heavy
    void madeAnewItHasTheSamePlanes(@TempDir Path folder) throws IOException {
        TestPond.makeDemo(DRAWINGS, folder);
        for (String part : new String[] {"tide-post/planes", "tide-post/files", "herons-umbrella/planes"}) {
            assertThat(names(folder.resolve(part)))
                    .as(part)
                    .isNotEmpty()
                    .isEqualTo(names(Path.of("src/main/resources/demo").resolve(part)));
        }
    }

    private static List<String> names(Path folder) throws IOException {
        try (var files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }
}
