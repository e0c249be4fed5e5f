package stillpond.app.page;

import java.nio.charset.StandardCharsets;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import stillpond.core.handon.FileNames;

/** Answers that a browser keeps as a file. */
public final class Downloads {

    private Downloads() {}

    /** @param name of the file without its ending, which may have any letters @param ending such as ".png" */
    public static ResponseEntity.BodyBuilder file(String name, String ending, MediaType type) {
        ContentDisposition attachment = ContentDisposition.attachment()
                .filename(FileNames.safe(name) + ending, StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment.toString())
                .contentType(type);
    }
}
