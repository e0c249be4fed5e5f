package stillpond.app.sheet;

import stillpond.core.ink.InkSettings;

/** How a layer came to be: its settings, its size and the names under which its planes are kept. */
record LayerPlanes(
        InkSettings settings,
        int widthPx,
        int heightPx,
        int cellCount,
        String source,
        String ink,
        String cells,
        String smallInk,
        String smallCells) {}
