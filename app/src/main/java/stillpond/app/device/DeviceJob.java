package stillpond.app.device;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something that was sent to a device. */
@Entity
@Table(name = "device_job")
class DeviceJob {

    /** Which device. */
    enum Device {
        PRESS("press", "printing"),
        CUTTER("cutter", "cutting");

        private final String words;
        private final String working;

        Device(String words, String working) {
            this.words = words;
            this.working = working;
        }

        public String words() {
            return words;
        }
    }

    /** The states of RFC 8011, 5.3.7, so far as these devices have them. */
    enum State {
        PENDING,
        PENDING_HELD,
        PROCESSING,
        CANCELED,
        ABORTED,
        COMPLETED;

        boolean isOver() {
            return this == CANCELED || this == ABORTED || this == COMPLETED;
        }
    }

    @Id
    private UUID id;

    private UUID projectId;
    private UUID sheetId;
    private UUID authorId;
    private Instant madeAt;

    @Enumerated(EnumType.STRING)
    private Device device;

    private String words;
    private String asked;

    @Enumerated(EnumType.STRING)
    private State state;

    private String said;
    private @Nullable Instant finishedAt;

    protected DeviceJob() {}

    /**
     * @param words what it is, for people
     * @param asked how it is to be done, as JSON
     * @param isHeld whether it waits until it is let go
     */
    DeviceJob(
            UUID project,
            UUID sheet,
            UUID author,
            Instant madeAt,
            Device device,
            String words,
            String asked,
            boolean isHeld) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.sheetId = sheet;
        this.authorId = author;
        this.madeAt = madeAt;
        this.device = device;
        this.words = words;
        this.asked = asked;
        this.state = isHeld ? State.PENDING_HELD : State.PENDING;
        this.said = "";
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    UUID sheetId() {
        return sheetId;
    }

    UUID authorId() {
        return authorId;
    }

    Instant madeAt() {
        return madeAt;
    }

    Device device() {
        return device;
    }

    String words() {
        return words;
    }

    String asked() {
        return asked;
    }

    State state() {
        return state;
    }

    String said() {
        return said;
    }

    String stateInWords() {
        return switch (state) {
            case PENDING -> "queued";
            case PENDING_HELD -> "held";
            case PROCESSING -> device.working;
            case CANCELED -> "taken back";
            case ABORTED -> "refused";
            case COMPLETED -> "done";
        };
    }

    /** Nothing happens to what the device has already. */
    void hold() {
        state = state == State.PENDING ? State.PENDING_HELD : state;
    }

    void release() {
        state = state == State.PENDING_HELD ? State.PENDING : state;
    }

    void cancel(Instant at) {
        if (!state.isOver()) {
            end(State.CANCELED, "", at);
        }
    }

    void begin() {
        state = State.PROCESSING;
    }

    void end(Came came, Instant at) {
        end(came.isDone() ? State.COMPLETED : State.ABORTED, came.words(), at);
    }

    private void end(State how, String words, Instant at) {
        state = how;
        said = words;
        finishedAt = at;
    }
}
