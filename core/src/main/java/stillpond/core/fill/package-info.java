/**
 * What cells are filled with, and how that changes.
 *
 * <p>A {@link stillpond.core.fill.Fill} belongs to a cell. The {@link stillpond.core.fill.Fills} of a layer change only through a {@link
 * stillpond.core.fill.Change}, which holds what each cell wore before and wears after, so that every change can be taken back
 * and done again; {@link stillpond.core.history.UndoLine} says which change that is. Nothing here knows colours: a flat fill names a swatch.
 */
package stillpond.core.fill;
