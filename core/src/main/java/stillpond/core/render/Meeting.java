package stillpond.core.render;

/** What happens where two colours of ink meet. */
public enum Meeting {
    /** They run into each other over about the width of a stroke. */
    SOFT,
    /** Each ends where the other begins. */
    HARD
}
