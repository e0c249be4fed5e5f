package stillpond.app.sheet;

import org.jspecify.annotations.Nullable;
import stillpond.core.ink.InkSettings;

/**
 * How a layer came to be: its settings, its size and the names under which its planes are kept.
 *
 * @param origin the file on whose page its pixels lie; mostly the source
 * @param strokes null while its ink is not cut into strokes
 * @param isThrough whether its cells are bounded by the ink of all layers that are shown
 * @param isBlockedIn whether it is made of shapes, which are its source then
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
        String origin,
        String ink,
        String cells,
        String openings,
        String smallInk,
        String smallCells,
        @Nullable StrokePlanes strokes,
        boolean isThrough,
        boolean isBlockedIn) {

    /** The same for shapes. */
    LayerPlanes blockedIn() {
        return new LayerPlanes(
                analysisVersion,
                settings,
                widthPx,
                heightPx,
                regions,
                areas,
                reach,
                source,
                origin,
                ink,
                cells,
                openings,
                smallInk,
                smallCells,
                strokes,
                isThrough,
                true);
    }
}
