package stillpond.app.sheet;

import stillpond.app.sheet.SheetPictures.Coloured;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.render.CellColours;
import stillpond.core.render.InkColours;
import stillpond.core.shadow.ShadowedCells;

/**
 * A layer with all its planes at full size, as it is painted.
 *
 * @param cells bare
 * @param cut the cells, cut by shadows
 * @param colours of cells and of what shadows have made of them
 * @param ink as wide as it is shown, with what was drawn over dams
 */
public record DrawnLayer(
        Coloured coloured,
        CellPlane cells,
        ShadowedCells cut,
        CellColours colours,
        InkPlane ink,
        InkColours inkColours) {}
