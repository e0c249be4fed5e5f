/** Shapes as a cutter takes them: pieces, the way of the blade around them, and what comes of it. Lengths are in millimetres; x goes right and y down, as on the page. */
package stillpond.core.cut;
