package stillpond.app.background;

import java.util.List;
import java.util.UUID;

/** A kind of work that is done in the background. What it works on is kept in the database, under an id. */
public interface BackgroundTask {

    /** By which it is known; never changed, since what is waiting is kept under it. */
    String name();

    default Lane lane() {
        return Lane.LONG;
    }

    /** Does it, or goes on with it where it was left. A failure, or a node that stops, has it run again a little later. */
    void run(UUID id, Node node);

    /** What has to be gone on with after a restart, besides what is kept with the scheduled tasks. */
    default List<UUID> unfinished() {
        return List.of();
    }

    /** The node that it runs on. */
    interface Node {

        /** Asked between two steps. @throws java.util.concurrent.CancellationException if the node stops, so that another goes on */
        void requireGoingOn();
    }
}
