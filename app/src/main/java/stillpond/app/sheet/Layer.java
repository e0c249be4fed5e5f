package stillpond.app.sheet;

import java.util.UUID;

/**
 * One layer of line art. Its planes are named by the hash of their stored form; see {@link Planes}.
 *
 * @param ink density of the ink
 * @param cells the cell map
 */
public record Layer(
        UUID id,
        int widthPx,
        int heightPx,
        int cellCount,
        String ink,
        String cells,
        String smallInk,
        String smallCells) {}
