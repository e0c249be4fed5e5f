package stillpond.app.sheet;

/** The size of a layer and the names under which its planes are kept. */
record LayerPlanes(
        int widthPx,
        int heightPx,
        int cellCount,
        String source,
        String ink,
        String cells,
        String smallInk,
        String smallCells) {}
