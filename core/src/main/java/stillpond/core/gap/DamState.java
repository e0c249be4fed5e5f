package stillpond.core.gap;

/** What somebody has said about an opening. */
public enum DamState {
    /** Nothing: reach decides. */
    BY_REACH,
    SHUT,
    /** Shut, and drawn in ink where the sheet is shown or handed on. The ink plane itself stays as it is. */
    INKED,
    OPEN
}
