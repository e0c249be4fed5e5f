package stillpond.app.sheet;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;
import stillpond.core.render.Meeting;

@Entity
@Table(name = "sheet")
class StoredSheet {

    @Id
    private UUID id;

    private UUID projectId;
    private UUID sceneId;
    private String title;
    private int position;
    private long revision;
    private Instant madeAt;
    private Instant removedAt;

    @Enumerated(EnumType.STRING)
    private Meeting lineMeeting = Meeting.SOFT;

    /** Those that the sheet has now; within a transaction that replaces one, that one too. */
    @OneToMany(cascade = CascadeType.ALL)
    @JoinColumn(name = "sheet_id", nullable = false, updatable = false)
    @SQLRestriction("is_current")
    @OrderBy("position")
    private List<StoredLayer> layers = new ArrayList<>();

    /** Those that were replaced, too: a sheet that is cut again and again has many, and hardly anybody asks for them. */
    @OneToMany
    @JoinColumn(name = "sheet_id", insertable = false, updatable = false)
    @OrderBy("position")
    private List<StoredLayer> everyLayer = new ArrayList<>();

    protected StoredSheet() {}

    StoredSheet(UUID projectId, UUID sceneId, String title, int position, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.projectId = projectId;
        this.sceneId = sceneId;
        this.title = title;
        this.position = position;
        this.madeAt = madeAt;
    }

    /** A new sheet with the same line art, behind the others of its scene. */
    StoredSheet copy(String newTitle, int newPosition, Instant now) {
        StoredSheet copy = new StoredSheet(projectId, sceneId, newTitle, newPosition, now);
        copy.lineMeeting = lineMeeting;
        currentLayers().forEach(layer -> copy.addLayer(layer.copy()));
        return copy;
    }

    void rename(String newTitle) {
        title = newTitle;
    }

    void place(UUID scene, int newPosition) {
        sceneId = scene;
        position = newPosition;
    }

    /** @param at null to bring it back */
    void remove(Instant at) {
        removedAt = at;
    }

    Meeting lineMeeting() {
        return lineMeeting;
    }

    void setLineMeeting(Meeting meeting) {
        lineMeeting = meeting;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    UUID sceneId() {
        return sceneId;
    }

    String title() {
        return title;
    }

    /** Those that the sheet has now, front to back. */
    List<StoredLayer> currentLayers() {
        return layers.stream().filter(StoredLayer::isCurrent).toList();
    }

    /** Every cutting of its layers, those that were replaced too. */
    List<Layer> everyLayer() {
        return everyLayer.stream().map(StoredLayer::asLayer).toList();
    }

    StoredLayer layer(UUID layer) {
        return find(layer).orElseThrow();
    }

    Optional<StoredLayer> find(UUID layer) {
        return find(layers, layer).or(() -> find(everyLayer, layer));
    }

    private static Optional<StoredLayer> find(List<StoredLayer> among, UUID layer) {
        return among.stream().filter(each -> each.id().equals(layer)).findFirst();
    }

    /** The layer that stands now where another stood; that other itself if it still does. */
    StoredLayer inPlaceOf(StoredLayer layer) {
        return currentLayers().stream()
                .filter(each -> each.position() == layer.position())
                .findFirst()
                .orElseThrow();
    }

    /** Lets a layer, new or one from before, take the place of another; the other is kept aside. */
    void replace(StoredLayer old, StoredLayer fresh) {
        layers.add(fresh);
        old.setCurrent(false);
        fresh.setCurrent(true);
    }

    void addLayer(StoredLayer layer) {
        layers.add(layer);
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    int position() {
        return position;
    }

    Instant madeAt() {
        return madeAt;
    }

    long nextRevision() {
        return ++revision;
    }

    long revision() {
        return revision;
    }

    Sheet asSheet() {
        return new Sheet(
                id,
                projectId,
                sceneId,
                title,
                revision,
                lineMeeting,
                layers.stream()
                        .filter(StoredLayer::isCurrent)
                        .map(StoredLayer::asLayer)
                        .toList());
    }
}
