package stillpond.app.sheet;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hibernate.annotations.SQLRestriction;
import org.jspecify.annotations.Nullable;
import stillpond.core.render.Meeting;
import stillpond.core.stack.Stack;

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
    private SheetState state = SheetState.TO_DO;

    @Nullable
    private UUID inHandOf;

    @Enumerated(EnumType.STRING)
    private Meeting lineMeeting = Meeting.SOFT;

    /** Those that the sheet has now; within a transaction that replaces one, that one too. */
    @OneToMany(cascade = CascadeType.ALL)
    @JoinColumn(name = "sheet_id", nullable = false, updatable = false)
    @SQLRestriction("is_current")
    private List<StoredLayer> layers = new ArrayList<>();

    /** Those that were replaced, too: a sheet that is cut again and again has many, and hardly anybody asks for them. */
    @OneToMany
    @JoinColumn(name = "sheet_id", insertable = false, updatable = false)
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
        currentLayers().forEach(layer -> copy.addLayer(layer.copy(copy.id)));
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

    SheetState state() {
        return state;
    }

    void say(SheetState said) {
        state = said;
    }

    Optional<UUID> inHandOf() {
        return Optional.ofNullable(inHandOf);
    }

    /** @param account null for nobody */
    void giveTo(@Nullable UUID account) {
        inHandOf = account;
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
        return layers.stream()
                .filter(StoredLayer::isCurrent)
                .sorted(Comparator.comparingInt(layer -> layer.standing().position()))
                .toList();
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

    /** The cutting that a layer has now, be it in the sheet or taken out of it. @param layer any cutting of it */
    StoredLayer inPlaceOf(StoredLayer layer) {
        return presentOf(layer.standing().id());
    }

    /** The cutting that a layer has now, likewise. */
    StoredLayer presentOf(UUID standing) {
        return currentLayers().stream()
                .filter(each -> each.standing().id().equals(standing))
                .findFirst()
                .orElseGet(() -> layer(standing(standing).kept()));
    }

    /** All of them, those of this transaction too. */
    private Stream<StoredLayer> cuttings() {
        return Stream.concat(layers.stream(), everyLayer.stream());
    }

    Set<UUID> cuttingsOf(StoredLayer layer) {
        return cuttingsOf(layer.standing().id());
    }

    /** Every cutting of a layer. */
    Set<UUID> cuttingsOf(UUID standing) {
        return cuttings()
                .filter(each -> each.standing().id().equals(standing))
                .map(StoredLayer::id)
                .collect(Collectors.toSet());
    }

    /** Lets a cutting, new or one from before, take the place of another; the other is kept aside. */
    void replace(StoredLayer old, StoredLayer fresh) {
        boolean stands = old.isCurrent();
        if (!layers.contains(fresh)) {
            layers.add(fresh);
        }
        old.setCurrent(false);
        fresh.setCurrent(stands);
        if (!stands) {
            fresh.standing().keep(fresh.id());
        }
    }

    Stack stack() {
        return new Stack(currentLayers().stream()
                .map(layer -> layer.standing().asStanding())
                .toList());
    }

    /** Lets its layers stand as they are wanted: those that are not named are taken out, those that were taken out before come back as they were. */
    void become(Stack wanted) {
        for (StoredLayer each : currentLayers()) {
            if (wanted.find(each.standing().id()).isEmpty()) {
                each.standing().keep(each.id());
                each.setCurrent(false);
            }
        }
        for (int i = 0; i < wanted.layers().size(); i++) {
            StoredStanding standing = standing(wanted.layers().get(i).layer());
            standing.become(wanted.layers().get(i), i);
            if (standing.kept() != null) {
                StoredLayer back = layer(standing.kept());
                back.setCurrent(true);
                if (!layers.contains(back)) {
                    layers.add(back);
                }
                standing.keep(null);
            }
        }
    }

    private StoredStanding standing(UUID id) {
        return cuttings()
                .map(StoredLayer::standing)
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow();
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
        List<Layer> present = currentLayers().stream().map(StoredLayer::asLayer).toList();
        return new Sheet(
                id, projectId, sceneId, title, revision, state, inHandOf(), lineMeeting, present, present.get(0));
    }
}
