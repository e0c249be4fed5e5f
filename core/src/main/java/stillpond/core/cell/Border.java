package stillpond.core.cell;

/**
 * The border that two neighbours share.
 *
 * @param first the lower cell number
 * @param second the higher cell number
 * @param lengthPx how many pixel edges lie between the two
 */
public record Border(int first, int second, int lengthPx) {}
