package stillpond.app.device;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A file of a job: what was sent, or a picture of what came of it. */
@Entity
@Table(name = "device_file")
class DeviceFile {

    @Embeddable
    record Key(UUID jobId, String name) {}

    @EmbeddedId
    private Key key;

    private byte[] content;

    protected DeviceFile() {}

    DeviceFile(Key key, byte[] content) {
        this.key = key;
        this.content = content;
    }

    byte[] content() {
        return content;
    }
}
