package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;

/**
 * A sheet as others see it.
 *
 * @param revision counts the changes made to it
 * @param layers front to back
 */
public record Sheet(UUID id, UUID project, UUID scene, String title, long revision, List<Layer> layers) {

    public Layer frontLayer() {
        return layers.get(0);
    }
}
