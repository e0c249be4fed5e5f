package stillpond.app.desk;

import java.util.List;
import java.util.UUID;
import stillpond.core.check.Finding;

/**
 * A finding of the check as the desk is told.
 *
 * @param layer whose cells are named
 * @param likely for a region without a fill: what it nearly surely gets, or null
 * @param swatch what it wears, or null
 * @param other what its neighbour wears, or null
 */
record FindingMessage(
        Kind kind, UUID layer, List<Integer> cells, UUID likely, UUID swatch, UUID other, double difference) {

    /** What was found. */
    enum Kind {
        POCKET,
        UNFILLED,
        TOO_NEAR,
        OFF_CARD
    }

    static FindingMessage of(UUID layer, Finding finding) {
        if (finding instanceof Finding.Unfilled unfilled) {
            Kind kind = unfilled.isPocket() ? Kind.POCKET : Kind.UNFILLED;
            return new FindingMessage(
                    kind, layer, finding.cells(), unfilled.likely().orElse(null), null, null, 0);
        }
        if (finding instanceof Finding.TooNear near) {
            return new FindingMessage(
                    Kind.TOO_NEAR, layer, finding.cells(), null, near.swatch(), near.other(), near.difference());
        }
        Finding.OffCard loose = (Finding.OffCard) finding;
        return new FindingMessage(Kind.OFF_CARD, layer, finding.cells(), null, loose.swatch(), null, 0);
    }
}
