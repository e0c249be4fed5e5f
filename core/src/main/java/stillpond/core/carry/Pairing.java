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
 */
record Pairing(
        int from, int to, double overlap, double covered, double resized, double away, double unlike, Pose pose) {

    /** How well they go together by themselves, as a logit; weights found on made pairs of drawings ({@code ./pond bench carry}). */
    double merit() {
        return 4.0 * overlap
                + 1.2 * covered
                - 0.6 * Math.min(4, unlike)
                - 1.0 * Math.min(2, Math.abs(resized))
                - 1.1 * Math.min(3, away);
    }
}
