package stillpond.app.project;

/** A member asked for what their role may not do; nothing was changed. */
public class NotAllowed extends RuntimeException {

    private static final long serialVersionUID = 1L;

    NotAllowed(Right right) {
        super("Only the lead " + right.words() + ". Nothing was changed.");
    }
}
