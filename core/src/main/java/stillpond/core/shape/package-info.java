/** Shapes as curves: cells as a planar map, in which two neighbours share each border between them, and curves fitted to lines. */
package stillpond.core.shape;
