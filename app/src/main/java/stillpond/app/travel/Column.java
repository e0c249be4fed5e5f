package stillpond.app.travel;

/**
 * A column of a table that travels.
 *
 * @param source where its value comes from: mostly the column itself
 */
record Column(String name, Kind kind, String source) {

    Column(String name, Kind kind) {
        this(name, kind, "r." + name);
    }

    /** What a column holds, so far as it has to be known for the journey. */
    enum Kind {
        /** An id: of the row itself, or of another row of the project. Given anew at the other end. */
        ID,
        /** A text, or texts, in which ids may stand. */
        TEXT_WITH_IDS,
        /** The name of a plane that is taken apart, see {@link stillpond.core.format.PlaneParts.Kind}. */
        INK,
        NUMBERED,
        LIST,
        /** The name of a file that somebody brought. */
        FILE,
        /** Who did it: does not travel, and is whoever brings the project in. */
        AUTHOR,
        /** Likewise, if anybody has answered. */
        ANSWERER,
        /** A yes or no that files of earlier days do not have: no in those. */
        NEWER_FLAG,
        /** All else, as it is. */
        PLAIN
    }

    boolean travels() {
        return kind != Kind.AUTHOR && kind != Kind.ANSWERER;
    }

    boolean isPlane() {
        return kind == Kind.INK || kind == Kind.NUMBERED || kind == Kind.LIST || kind == Kind.FILE;
    }

    /** As the file calls it: {@code scene_id} is {@code sceneId}. */
    String member() {
        return TravelTable.camel(name);
    }
}
