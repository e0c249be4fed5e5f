package stillpond.core.exchange;

import java.util.List;
import stillpond.core.palette.Card;

/**
 * What a file holds, read in full before anything is taken over.
 *
 * @param cards with ids of their own
 * @param problems what could not be read; the rest can be
 */
public record Arrival(List<Card> cards, List<Problem> problems) {

    /** The most swatches that one file may bring. */
    public static final int MOST_SWATCHES = 5000;

    public Arrival {
        cards = List.copyOf(cards);
        problems = List.copyOf(problems);
    }

    /**
     * Something that could not be read.
     *
     * @param place in the file: a path of names, or a line
     */
    public record Problem(String place, String message) {}
}
