package stillpond.app.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import stillpond.core.refusal.Refusal;

class SpooledTest {

    @Test
    void aDiskThatIsFullIsSaidAndNoHalfFileIsLeft() throws IOException {
        List<Path> before = leftOver();
        assertThatThrownBy(() -> Spooled.download("Sheet", ".png", MediaType.IMAGE_PNG, out -> {
                    out.write(new byte[100_000]);
                    throw new IOException("No space left on device");
                }))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no room here to write the file")
                .hasMessageContaining("Nothing was lost");
        assertThat(leftOver()).isEqualTo(before);
    }

    private static List<Path> leftOver() throws IOException {
        try (Stream<Path> files = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
            return files.filter(file -> file.getFileName().toString().startsWith("still-pond-")
                            && file.toString().endsWith(".out"))
                    .sorted()
                    .toList();
        }
    }
}
