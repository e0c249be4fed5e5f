package stillpond.app.check;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.cell.Box;
import stillpond.core.check.Finding;
import stillpond.core.stroke.Stroke;

/**
 * A finding as the desk is told.
 *
 * @param key by which it can be accepted
 * @param layer whose cells are named
 * @param standing of that layer, and {@code layerName} what it is called
 * @param likely what its cells nearly surely get, or null
 * @param swatch what they wear, or null
 * @param other what it is too near to, or null
 * @param openings through which a fill ran out, by index
 * @param strokes of the ink that are concerned, by number
 * @param at around the first of them where no cells are concerned, else null
 */
record FindingMessage(
        String key,
        boolean isAccepted,
        Kind kind,
        UUID layer,
        UUID standing,
        String layerName,
        List<Integer> cells,
        @Nullable UUID likely,
        @Nullable UUID swatch,
        @Nullable UUID other,
        double difference,
        List<Integer> openings,
        List<Integer> strokes,
        @Nullable Box at) {

    /** What was found. */
    enum Kind {
        POCKET,
        SPECK,
        REGION,
        RUNS_OUT,
        TOO_NEAR,
        TWINS,
        OFF_CARD,
        LOST_STOP,
        LIGHT_LINE
    }

    /** What is particular about one kind of finding. */
    private record Particulars(
            Kind kind, UUID likely, UUID swatch, UUID other, double difference, List<Integer> openings) {}

    static FindingMessage of(SheetFindings.Found found) {
        Finding finding = found.finding();
        Particulars its = particulars(finding);
        return new FindingMessage(
                finding.key(),
                found.isAccepted(),
                its.kind(),
                found.layer().id(),
                found.layer().standing().layer(),
                found.layer().standing().name(),
                finding.cells(),
                its.likely(),
                its.swatch(),
                its.other(),
                its.difference(),
                its.openings(),
                finding.strokes().stream().map(Stroke::number).toList(),
                finding.cells().isEmpty() ? finding.strokes().get(0).box() : null);
    }

    private static Particulars particulars(Finding finding) {
        if (finding instanceof Finding.Unfilled unfilled) {
            Kind kind = Kind.valueOf(unfilled.size().name());
            return new Particulars(kind, unfilled.likely().orElse(null), null, null, 0, List.of());
        }
        if (finding instanceof Finding.RunsOut out) {
            return new Particulars(Kind.RUNS_OUT, null, null, null, 0, out.openings());
        }
        if (finding instanceof Finding.TooNear near) {
            return new Particulars(Kind.TOO_NEAR, null, near.swatch(), near.other(), near.difference(), List.of());
        }
        if (finding instanceof Finding.Twins twins) {
            return new Particulars(
                    Kind.TWINS, twins.other(), twins.swatch(), twins.other(), twins.difference(), List.of());
        }
        if (finding instanceof Finding.LostStop) {
            return new Particulars(Kind.LOST_STOP, null, null, null, 0, List.of());
        }
        if (finding instanceof Finding.LightLine light) {
            return new Particulars(Kind.LIGHT_LINE, null, light.swatch(), null, 0, List.of());
        }
        Finding.OffCard loose = (Finding.OffCard) finding;
        return new Particulars(Kind.OFF_CARD, loose.meant().orElse(null), loose.swatch(), null, 0, List.of());
    }
}
