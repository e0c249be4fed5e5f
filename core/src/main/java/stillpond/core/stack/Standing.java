package stillpond.core.stack;

import java.util.UUID;
import stillpond.core.refusal.Refusal;

/**
 * How a layer stands in its sheet.
 *
 * @param layer stays the same however often its ink is cut anew
 * @param isHidden whether it is left out of every picture
 * @param isLocked whether nothing on it may be changed
 * @param opacityPercent of its ink and fills together, {@value #LEAST_OPACITY} to 100
 * @param xPx how far it is moved to the right on the page, in pixels; what lies beside the page is not shown
 * @param yPx how far down
 */
public record Standing(
        UUID layer, String name, boolean isHidden, boolean isLocked, int opacityPercent, int xPx, int yPx) {

    public static final int LEAST_OPACITY = 5;
    public static final int LONGEST_NAME = 80;
    /** As far as the largest page reaches. */
    public static final int FARTHEST_PX = 32_000;

    public Standing {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Refusal("A layer has a name of 1 to " + LONGEST_NAME + " letters.");
        }
        if (opacityPercent < LEAST_OPACITY || opacityPercent > 100) {
            throw new Refusal("A layer is " + LEAST_OPACITY + " to 100 % opaque, not " + opacityPercent
                    + " %. To see nothing of it, hide it.");
        }
        if (Math.max(Math.abs((long) xPx), Math.abs((long) yPx)) > FARTHEST_PX) {
            throw new Refusal("A layer is moved up to " + FARTHEST_PX + " pixels.");
        }
    }

    /** One that is neither moved nor see-through, hidden nor locked. The name is cut where it is too long. */
    public static Standing of(UUID layer, String name) {
        String stripped = name.strip();
        String cut = stripped.substring(0, Math.min(stripped.length(), LONGEST_NAME));
        return new Standing(layer, cut.isBlank() ? "Layer" : cut, false, false, 100, 0, 0);
    }

    public Standing named(String newName) {
        return new Standing(layer, newName, isHidden, isLocked, opacityPercent, xPx, yPx);
    }

    public Standing hidden(boolean hides) {
        return new Standing(layer, name, hides, isLocked, opacityPercent, xPx, yPx);
    }

    public Standing locked(boolean locks) {
        return new Standing(layer, name, isHidden, locks, opacityPercent, xPx, yPx);
    }

    public Standing opaque(int percent) {
        return new Standing(layer, name, isHidden, isLocked, percent, xPx, yPx);
    }

    public Standing moved(int byX, int byY) {
        return new Standing(layer, name, isHidden, isLocked, opacityPercent, xPx + byX, yPx + byY);
    }
}
