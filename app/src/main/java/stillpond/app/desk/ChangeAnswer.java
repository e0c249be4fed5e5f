package stillpond.app.desk;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.app.history.Part;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.MadeChange;
import stillpond.core.fill.Swap;
import stillpond.core.gap.DamChange;

/**
 * What became of a change.
 *
 * @param outcome {@code made}, {@code unneeded} or {@code refused}
 * @param reason for {@code refused}: why; for {@code made}: what was left alone, or null; for the user to read
 * @param words for {@code made}: what was done, for the user to read
 * @param layer for {@code made}: whose cells and strokes it speaks of, or null
 * @param swaps for {@code made}: what it did to fills of the sheet
 * @param dams for {@code made}: what it did to dams
 * @param reach for {@code made}: what it did to the reach, or null
 * @param parts for {@code made}: everything that it changed, on the sheet and elsewhere
 */
record ChangeAnswer(
        UUID id,
        String outcome,
        @Nullable String reason,
        @Nullable String words,
        @Nullable UUID layer,
        List<SwapMessage> swaps,
        List<DamChange.Swap> dams,
        DamChange.@Nullable ReachSwap reach,
        Set<Part> parts) {

    /** The part of one cell or stroke. @param place see {@link stillpond.core.fill.Places} */
    record SwapMessage(int place, String before, String after) {
        static SwapMessage of(Swap swap) {
            return new SwapMessage(
                    swap.place(), swap.before().text(), swap.after().text());
        }
    }

    static ChangeAnswer of(ChangeOutcome outcome) {
        if (outcome instanceof ChangeOutcome.Made made) {
            return of(made.change(), made.leftAlone().orElse(null));
        }
        if (outcome instanceof ChangeOutcome.Refused refused) {
            return unmade(refused.request(), "refused", refused.reason());
        }
        return unmade(((ChangeOutcome.Unneeded) outcome).request(), "unneeded", null);
    }

    static ChangeAnswer of(MadeChange made) {
        return of(made, null);
    }

    private static ChangeAnswer of(MadeChange made, String leftAlone) {
        return new ChangeAnswer(
                made.id(),
                "made",
                leftAlone,
                made.words(),
                made.layer().orElse(null),
                made.change().swaps().stream().map(SwapMessage::of).toList(),
                made.dams().swaps(),
                made.dams().reach().orElse(null),
                made.parts());
    }

    private static ChangeAnswer unmade(UUID id, String outcome, String reason) {
        return new ChangeAnswer(id, outcome, reason, null, null, List.of(), List.of(), null, Set.of());
    }
}
