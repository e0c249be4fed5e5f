package stillpond.app.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import stillpond.core.refusal.Refusal;

/** However long somebody has worked on a sheet, a picture of how it was reads no more of the log than was said. */
class LongLogTest {

    private static final int MOST = 20_000;

    private final UUID sheet = UUID.randomUUID();
    private final Instant moment = Instant.EPOCH;
    private final ChangeRepository changes = mock(ChangeRepository.class);
    private final History history = new History(
            changes,
            mock(EffectTexts.class),
            mock(LogRows.class),
            mock(ApplicationEventPublisher.class),
            Clock.systemUTC());

    /** As the database answers: no more than it is asked for. */
    private void logIsLong(int effects) {
        List<StoredEffect> all = Collections.nCopies(effects, mock(StoredEffect.class));
        when(changes.findOfSheetSince(eq(sheet), eq(moment), any(Limit.class)))
                .thenAnswer(asked -> all.subList(0, Math.min(all.size(), ((Limit) asked.getArgument(2)).max())));
    }

    @Test
    void asManyStepsAsAreGoneBackOverAreRead() {
        logIsLong(MOST);
        assertThat(history.ofSheetSince(sheet, moment)).hasSize(MOST);
    }

    @Test
    void moreAreRefusedInWords() {
        logIsLong(5 * MOST);
        assertThatThrownBy(() -> history.ofSheetSince(sheet, moment))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("20,000")
                .hasMessageContaining("Choose a later moment");
    }
}
