package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import stillpond.core.render.Meeting;

/**
 * A sheet as others see it.
 *
 * @param revision counts the changes made to it
 * @param lineMeeting what happens where two colours of its ink meet
 * @param layers front to back
 */
public record Sheet(
        UUID id, UUID project, UUID scene, String title, long revision, Meeting lineMeeting, List<Layer> layers) {

    public Layer frontLayer() {
        return layers.get(0);
    }
}
