package stillpond.app.history;

/** A part of a project that pages show, and ask for again when it is another. */
public enum Part {
    FILLS_AND_DAMS,
    CELLS,
    GROUPS,
    /** Shadows and rims. */
    SHADOWS,
    /** Which layers a sheet has, and how they stand. */
    LAYERS,
    PAGE_FRAME,
    /** The reference picture on a sheet. */
    REFERENCE,
    /** What happens where two colours of ink meet. */
    LINE_MEETING,
    /** Who is on a sheet. */
    CAST,
    /** What is said about it. */
    REMARKS,
    /** Cards, lights and wardrobes. */
    PALETTE
}
