/**
 * Gaps in line art.
 *
 * <ol>
 *   <li>A <em>closure</em> is a line across paper, from ink to ink, that may close a gap.
 *   <li>The ink and all closures worth thinking of cut a layer into cells. Where two cells meet with no ink between is an
 *       <em>opening</em>: {@link stillpond.core.gap.Opening}.
 *   <li>An opening has a <em>strength</em>, 0 to 1: how surely a dam should stand there. Strengths form a merge tree: at any level, joining cells
 *       through all weaker openings gives whole branches of it.
 *   <li>A <em>dam</em> is an opening that is held shut; it never marks the ink.
 *   <li><em>Reach</em> is the level from which on openings are dammed by themselves.
 *   <li>A <em>region</em> is the cells joined through openings that are not dammed.
 * </ol>
 *
 * <p>{@link stillpond.core.gap.Openings} analyses line art. How it goes about it, and what was tried, stands in {@code docs/gap-closing.md}. The same ink gives the
 * same cells and openings on any machine and with any number of threads.
 */
package stillpond.core.gap;
