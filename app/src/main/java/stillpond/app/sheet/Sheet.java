package stillpond.app.sheet;

import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.render.Meeting;
import stillpond.core.stack.Stack;

/**
 * A sheet as others see it.
 *
 * @param revision counts the changes made to it
 * @param state how far somebody says that it is
 * @param inHandOf who has it in hand; empty for nobody
 * @param lineMeeting what happens where two colours of its ink meet
 * @param layers front to back
 * @param layer the one of them that is worked on; the front one unless another is asked for
 */
public record Sheet(
        UUID id,
        UUID project,
        UUID scene,
        String title,
        long revision,
        SheetState state,
        Optional<UUID> inHandOf,
        Meeting lineMeeting,
        List<Layer> layers,
        Layer layer) {

    public Sheet {
        layers = List.copyOf(layers);
    }

    /** With another layer to work on. @param standing of the layer, see {@link Layer#standing} @throws NoSuchElementException if the sheet has no such layer */
    public Sheet on(UUID standing) {
        return layers.stream()
                .filter(each -> each.standing().layer().equals(standing))
                .findFirst()
                .map(this::on)
                .orElseThrow(() -> new NoSuchElementException("The sheet has no layer " + standing));
    }

    Sheet on(Layer other) {
        return new Sheet(id, project, scene, title, revision, state, inHandOf, lineMeeting, layers, other);
    }

    public Stack stack() {
        return new Stack(layers.stream().map(Layer::standing).toList());
    }

    /** That of the page, which all layers have. */
    public int widthPx() {
        return layer.widthPx();
    }

    public int heightPx() {
        return layer.heightPx();
    }
}
