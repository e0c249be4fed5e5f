package stillpond.core.handon;

/** By what the shapes of a sheet are told apart when they are handed on. */
public enum Arrangement {
    /** What shows one swatch is together. */
    COLOUR,
    /** What belongs to one part of a card is. */
    PART,
    /** The groups of the layer, and by colour what is in none. */
    GROUP,
    /** Each region is for itself, under its colour. */
    SEPARATE
}
