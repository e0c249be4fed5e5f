package stillpond.core.plate;

import stillpond.core.refusal.Refusal;

/**
 * How a page is separated.
 *
 * @param blackOverprints whether black ink is printed over what lies under it, or what lies under it is left out
 * @param trapPx by how many pixels the lighter of two neighbours is spread under the darker one, so that no paper shines through where plates do not fit; 0 to {@value #MOST_TRAP_PX}
 * @param limitPercent how much ink there may be at one place in all, {@value #LEAST_LIMIT} to {@value #MOST_LIMIT}
 */
public record Inking(boolean blackOverprints, int trapPx, int limitPercent) {

    public static final int MOST_TRAP_PX = 20;
    public static final int LEAST_LIMIT = 100;
    public static final int MOST_LIMIT = 400;

    /** What most presses take. */
    public static final Inking USUAL = new Inking(true, 2, 300);

    public Inking {
        if (trapPx < 0 || trapPx > MOST_TRAP_PX) {
            throw new Refusal("A trap is 0 to " + MOST_TRAP_PX + " pixels wide.");
        }
        if (limitPercent < LEAST_LIMIT || limitPercent > MOST_LIMIT) {
            throw new Refusal("A press takes " + LEAST_LIMIT + " to " + MOST_LIMIT + " % of ink at one place.");
        }
    }
}
