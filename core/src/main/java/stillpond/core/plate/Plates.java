package stillpond.core.plate;

import java.util.List;

/**
 * All plates of a page, the process inks first.
 *
 * @param mostInkPercent at any one place, all inks taken together
 * @param overLimit how many pixels have more ink than the press takes
 */
public record Plates(int widthPx, int heightPx, List<Plate> plates, int mostInkPercent, long overLimit) {

    public Plates {
        plates = List.copyOf(plates);
    }
}
