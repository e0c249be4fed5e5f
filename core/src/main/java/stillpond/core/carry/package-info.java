/**
 * Carry: what the regions of one drawing are of, brought over to another drawing of the same things.
 *
 * <p>A <em>pose</em> lays one drawing over another, perhaps in a mirror. A region's <em>like</em> is the region of the other drawing that shows the same part of the same thing.
 * {@link stillpond.core.carry.Carry} looks for poses, bends the drawing part by part so that likes lie on each other, and then weighs all pairings as a whole, over both graphs of
 * regions that touch.
 */
package stillpond.core.carry;
