package stillpond.app.sheet;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

@Entity
@Table(name = "plane")
class StoredPlane {

    @Id
    private String sha256;

    private byte[] content;

    protected StoredPlane() {}

    byte[] content() {
        return content;
    }
}
