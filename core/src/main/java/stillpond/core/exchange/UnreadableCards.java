package stillpond.core.exchange;

import stillpond.core.refusal.Refusal;

/** A file of cards that cannot be read at all; the message is for the user. */
public class UnreadableCards extends Refusal {

    private static final long serialVersionUID = 1L;

    public UnreadableCards(String message) {
        super(message);
    }
}
