package stillpond.app.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.app.project.Projects;
import stillpond.core.palette.Card;
import stillpond.core.palette.CardsChange;

/** However often cards were changed, no more is read than was said, and the card says whether what it lists is all. */
class LongCardHistoryTest {

    private final UUID project = UUID.randomUUID();
    private final Card card = new Card(UUID.randomUUID(), "Juniper", "", List.of());
    private final History history = mock(History.class);
    private final Palettes palettes = new Palettes(mock(CardRepository.class), mock(Projects.class), history);

    @ParameterizedTest
    @CsvSource({"0, 0, true", "3, 3, true", "2000, 2000, true", "2001, 2000, false", "90000, 2000, false"})
    void olderChangesThanAreListedAreSaidToBeThere(int made, int listed, boolean isWhole) {
        List<CardsChange.Placed> same = List.of(new CardsChange.Placed(0, card));
        CardsChange change = new CardsChange(same, same, Map.of());
        List<Made> all = Collections.nCopies(made, changed(new Effect.Cards(change)));
        when(history.ofCards(eq(project), anyInt()))
                .thenAnswer(asked -> all.subList(0, Math.min(made, asked.getArgument(1, Integer.class))));

        Palettes.CardHistory found = palettes.history(project, card.id());

        assertThat(found.changes()).hasSize(listed);
        assertThat(found.isWhole()).isEqualTo(isWhole);
    }

    private Made changed(Effect effect) {
        return new Made(
                UUID.randomUUID(),
                project,
                UUID.randomUUID(),
                Instant.EPOCH,
                Made.Kind.CHANGE,
                Optional.empty(),
                "",
                "",
                List.of(effect));
    }
}
