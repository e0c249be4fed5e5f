/**
 * Pictures of a sheet: its flats alone, the sheet with its ink, and a small one.
 *
 * <p>Colours enter here and only here, as a {@link stillpond.core.render.CellColours} table.
 */
package stillpond.core.render;
