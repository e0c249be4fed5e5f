package stillpond.app.export;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.page.Downloads;
import stillpond.core.refusal.Refusal;

/** A file that is written as a whole before the first byte of it is sent, so that what cannot be written is refused in words and no half file is ever kept. */
final class Spooled {

    private Spooled() {}

    /** What writes a file. */
    @FunctionalInterface
    interface Writing {
        void to(OutputStream out) throws IOException;
    }

    /** @param name of the file without its ending, which may have any letters */
    static ResponseEntity<StreamingResponseBody> download(String name, String ending, MediaType type, Writing writing) {
        Written written = write(writing);
        return Downloads.file(name, ending, type)
                .contentLength(written.length())
                .body(written::send);
    }

    /** A file that is gone when it is closed, or when the application ends, for its name is given up as soon as it is open. */
    private record Written(InputStream content, long length) {
        private void send(OutputStream out) throws IOException {
            try (content) {
                content.transferTo(out);
            }
        }
    }

    private static Written write(Writing writing) {
        try {
            Path file = Files.createTempFile("still-pond-", ".out");
            try {
                try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
                    writing.to(out);
                }
                long length = Files.size(file);
                return new Written(Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE), length);
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new Refusal(
                    "There is no room here to write the file just now. Nothing was lost; try again later.", e);
        }
    }
}
