package stillpond.core.gap;

/** What somebody has said about an opening. */
public enum DamState {
    /** Nothing: reach decides. */
    BY_REACH,
    SHUT,
    OPEN
}
