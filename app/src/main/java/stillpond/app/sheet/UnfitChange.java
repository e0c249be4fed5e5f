package stillpond.app.sheet;

import java.util.UUID;
import stillpond.core.refusal.Refusal;

/** A change that makes no sense as it was asked for. It is refused by name, so that whoever sent it with others knows which one to leave out. */
public class UnfitChange extends Refusal {

    private static final long serialVersionUID = 1L;

    private final UUID change;

    /** @param reason for the user to read */
    public UnfitChange(UUID change, String reason) {
        super(reason);
        this.change = change;
    }

    public UUID change() {
        return change;
    }
}
