/** Regions as somebody sees and handles them: their shapes, the way from one to the next, and what a fill laid on one would do. */
package stillpond.core.region;
