package stillpond.app.export;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;

/** One file of a job. */
@Entity
@Table(name = "handed_file")
class StoredFile {

    /** How far it is. */
    enum State {
        WAITING,
        WRITTEN,
        FAILED
    }

    @Embeddable
    record Key(UUID jobId, int position) {}

    @EmbeddedId
    private Key key;

    private UUID sheetId;

    @Enumerated(EnumType.STRING)
    private FileForm form;

    private String name;

    /** The version of what the sheet showed; empty before it is written. */
    private String looked;

    @Enumerated(EnumType.STRING)
    private State state;

    /** Why it failed; empty if it did not. */
    private String said;

    protected StoredFile() {}

    StoredFile(Key key, UUID sheet, FileForm form, String name) {
        this.key = key;
        this.sheetId = sheet;
        this.form = form;
        this.name = name;
        this.state = State.WAITING;
        this.looked = "";
        this.said = "";
    }

    Key key() {
        return key;
    }

    UUID sheetId() {
        return sheetId;
    }

    FileForm form() {
        return form;
    }

    String name() {
        return name;
    }

    State state() {
        return state;
    }

    String looked() {
        return looked;
    }

    String said() {
        return said;
    }

    void written(String look) {
        looked = look;
        state = State.WRITTEN;
    }

    void failed(String why) {
        state = State.FAILED;
        said = why;
    }
}
