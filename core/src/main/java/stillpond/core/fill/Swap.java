package stillpond.core.fill;

import stillpond.core.refusal.Refusal;

/**
 * One cell's part in a change.
 *
 * @param cell number of the cell in its layer, from 0
 */
public record Swap(int cell, Fill before, Fill after) {

    public Swap {
        if (cell < 0) {
            throw new Refusal("Cells are numbered from 0, not " + cell + ".");
        }
    }

    Swap inverse() {
        return new Swap(cell, after, before);
    }
}
