package stillpond.bench.drill;

/** A file that means no good, and who is to read it. */
record HostileFile(Reader reader, String name, byte[] content) {

    /** What reads files. */
    enum Reader {
        SHEET,
        LINE_ART,
        FLATS,
        PICTURE,
        MOTIF,
        CARDS,
        PROFILE,
        BLOCKED_IN,
        PROJECT
    }
}
