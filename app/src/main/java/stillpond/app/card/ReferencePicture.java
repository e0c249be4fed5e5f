package stillpond.app.card;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A picture that colours are taken from; it stays with the project. */
@Entity
public class ReferencePicture {

    @Id
    private UUID id;

    private UUID projectId;
    private String title;
    private int widthPx;
    private int heightPx;
    private String content;
    private String samples;
    private Instant madeAt;

    protected ReferencePicture() {}

    ReferencePicture(UUID project, String title, int widthPx, int heightPx, String content, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.title = title;
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.content = content;
        this.samples = "[]";
        this.madeAt = madeAt;
    }

    public UUID id() {
        return id;
    }

    public String title() {
        return title;
    }

    public int widthPx() {
        return widthPx;
    }

    public int heightPx() {
        return heightPx;
    }

    Instant madeAt() {
        return madeAt;
    }

    UUID projectId() {
        return projectId;
    }

    /** The name of the plane that holds the picture as PNG. */
    String content() {
        return content;
    }

    /** The samples as JSON. */
    public String samples() {
        return samples;
    }

    void keep(String newSamples) {
        samples = newSamples;
    }
}
