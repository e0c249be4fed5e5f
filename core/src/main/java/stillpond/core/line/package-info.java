/** Line colours: which strokes are meant, what they are to wear, and how that follows a page that is drawn anew. */
package stillpond.core.line;
