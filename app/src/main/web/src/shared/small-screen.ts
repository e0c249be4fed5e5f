/** Enlarged or small, so that what lies around the sheet has one row; as in small.css. */
export const SMALL_SCREEN = matchMedia("(max-width: 899px), (max-height: 559px)");
