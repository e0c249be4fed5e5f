package stillpond.app.desk;

import java.util.List;
import java.util.UUID;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.MadeChange;
import stillpond.core.fill.Swap;
import stillpond.core.gap.DamChange;

/**
 * What became of a change.
 *
 * @param outcome {@code made}, {@code unneeded} or {@code refused}
 * @param reason for {@code refused}, for the user to read
 * @param swaps for {@code made}: what it did to fills
 * @param dams for {@code made}: what it did to dams
 * @param reach for {@code made}: what it did to the reach, or null
 */
record ChangeAnswer(
        UUID id,
        String outcome,
        String reason,
        UUID layer,
        List<SwapMessage> swaps,
        List<DamChange.Swap> dams,
        DamChange.ReachSwap reach) {

    /** One cell's part. */
    record SwapMessage(int cell, String before, String after) {
        static SwapMessage of(Swap swap) {
            return new SwapMessage(
                    swap.cell(), swap.before().text(), swap.after().text());
        }
    }

    static ChangeAnswer of(ChangeOutcome outcome) {
        if (outcome instanceof ChangeOutcome.Made made) {
            return of(made.change());
        }
        if (outcome instanceof ChangeOutcome.Refused refused) {
            return new ChangeAnswer(refused.request(), "refused", refused.reason(), null, List.of(), List.of(), null);
        }
        return new ChangeAnswer(
                ((ChangeOutcome.Unneeded) outcome).request(), "unneeded", null, null, List.of(), List.of(), null);
    }

    static ChangeAnswer of(MadeChange made) {
        return new ChangeAnswer(
                made.id(),
                "made",
                null,
                made.layer(),
                made.change().swaps().stream().map(SwapMessage::of).toList(),
                made.dams().swaps(),
                made.dams().reach().orElse(null));
    }
}
