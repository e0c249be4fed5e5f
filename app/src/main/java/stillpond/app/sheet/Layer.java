package stillpond.app.sheet;

import java.util.UUID;
import stillpond.core.ink.InkSettings;

/**
 * One layer of line art. Its planes are named by the hash of their stored form; see {@link Planes}.
 *
 * @param settings how its ink was told from the paper
 * @param source the file it was made from
 * @param ink density of the ink
 * @param cells the cell map
 */
public record Layer(
        UUID id,
        int widthPx,
        int heightPx,
        int cellCount,
        InkSettings settings,
        String source,
        String ink,
        String cells,
        String smallInk,
        String smallCells) {}
