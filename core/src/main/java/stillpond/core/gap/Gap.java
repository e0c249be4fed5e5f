package stillpond.core.gap;

import java.util.List;

/**
 * A gap as somebody looks at it: all openings between the same two pieces, which are dammed or left open together.
 *
 * @param openings their indices; the narrowest first
 * @param places at how many places they lie
 * @param widthPx of the narrowest, in pixels of the page
 * @param isShut whether it is dammed
 * @param isSaid whether somebody has said so, rather than reach
 * @param sides the pieces that it parts, or would part
 * @param doubt how unsure it is whether that is right, 0 to 1; 0 if somebody has said so
 * @param isInDoubt whether it is worth a look
 */
public record Gap(
        List<Integer> openings,
        int places,
        double widthPx,
        boolean isShut,
        boolean isSaid,
        List<Side> sides,
        double doubt,
        boolean isInDoubt) {

    public Gap {
        openings = List.copyOf(openings);
        sides = List.copyOf(sides);
    }

    /** A piece on one side, named by one of its cells. */
    public record Side(int cell, long areaPx) {}

    /** How much runs through, or is kept from it: the area of the smaller piece, in pixels of the page. */
    public long effectPx() {
        return Math.min(sides.get(0).areaPx(), sides.get(1).areaPx());
    }
}
