package stillpond.bench.flats;

/** How far ink backs the border of a true region. */
enum Support {
    CLOSED(0.999),
    HAIRLINE(0.95),
    GAPPED(0.80),
    /** Colour, or knowledge of the thing, decides: reported without a goal. */
    OPEN(0);

    private final double leastShare;

    Support(double leastShare) {
        this.leastShare = leastShare;
    }

    /** @param share of the border that ink backs, 0 to 1 */
    static Support of(double share) {
        for (Support support : values()) {
            if (share >= support.leastShare) {
                return support;
            }
        }
        throw new IllegalArgumentException("A share of a border is 0 to 1, not " + share + ".");
    }
}
