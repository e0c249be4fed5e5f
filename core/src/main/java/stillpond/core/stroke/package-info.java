/** Strokes: the pieces of ink that wear line colours, and what lies on their two sides. */
package stillpond.core.stroke;
