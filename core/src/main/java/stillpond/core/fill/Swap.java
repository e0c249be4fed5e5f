package stillpond.core.fill;

/**
 * The part that one cell or stroke has in a change.
 *
 * @param place a cell or a stroke of the layer; see {@link Places}
 */
public record Swap(int place, Fill before, Fill after) {

    Swap inverse() {
        return new Swap(place, after, before);
    }
}
