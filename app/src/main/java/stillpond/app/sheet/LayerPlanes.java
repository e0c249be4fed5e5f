package stillpond.app.sheet;

import stillpond.core.ink.InkSettings;

/** How a layer came to be: its settings, its size and the names under which its planes are kept. */
record LayerPlanes(
        int analysisVersion,
        InkSettings settings,
        int widthPx,
        int heightPx,
        int[] regions,
        int[] areas,
        double reach,
        String source,
        String ink,
        String cells,
        String openings,
        String smallInk,
        String smallCells) {}
