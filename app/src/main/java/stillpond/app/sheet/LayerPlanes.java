package stillpond.app.sheet;

import org.jspecify.annotations.Nullable;
import stillpond.core.ink.InkSettings;

/**
 * How a layer came to be: its settings, its size and the names under which its planes are kept.
 *
 * @param strokes null while its ink is not cut into strokes
 */
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
        String smallCells,
        @Nullable StrokePlanes strokes) {}
