package stillpond.core.carry;

/**
 * A region of the one drawing beside one of the other, and how well they go together.
 *
 * @param overlap their common area as a share of that of both, with the first laid over the second
 * @param covered the share of the second that lies under the first
 * @param resized natural logarithm of how much larger the second is than the first as laid
 * @param away distance of their places, in sizes of the larger one
 * @param unlike see {@link Shape#unlike}
 * @param pose that lays the first over the second
 * @param weights by which it is told how well they go together
 */
record Pairing(
        int from,
        int to,
        double overlap,
        double covered,
        double resized,
        double away,
        double unlike,
        Pose pose,
        CarryWeights weights) {

    private static final double MOST_UNLIKE = 4;
    private static final double MOST_RESIZED = 2;
    private static final double MOST_AWAY = 3;

    /** How well they go together by themselves, as a logit. */
    double merit() {
        return weights.overlap() * overlap
                + weights.covered() * covered
                - weights.unlike() * Math.min(MOST_UNLIKE, unlike)
                - weights.resized() * Math.min(MOST_RESIZED, Math.abs(resized))
                - weights.away() * Math.min(MOST_AWAY, away);
    }
}
