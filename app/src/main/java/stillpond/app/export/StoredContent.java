package stillpond.app.export;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

/** What a file holds; apart from it, so that files are listed without it. */
@Entity
@Table(name = "handed_content")
class StoredContent {

    @EmbeddedId
    private StoredFile.Key key;

    private byte[] content;

    protected StoredContent() {}

    StoredContent(StoredFile.Key key, byte[] content) {
        this.key = key;
        this.content = content;
    }

    byte[] content() {
        return content;
    }
}
