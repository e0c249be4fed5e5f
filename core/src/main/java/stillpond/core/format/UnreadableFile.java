package stillpond.core.format;

import stillpond.core.refusal.Refusal;

/** A file that cannot be taken, with a message for the person who brought it: what is wrong, and what would help. */
public class UnreadableFile extends Refusal {

    private static final long serialVersionUID = 1;

    public UnreadableFile(String message) {
        super(message);
    }

    public UnreadableFile(String message, Throwable cause) {
        super(message, cause);
    }
}
