package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.fill.Fill;

/** A region 0 between four others: 1 with a long border, 2 with a middling, 3 with a short one; 4 lies behind 3. */
class HandfulTest {

    private static final UUID COAT = new UUID(0, 1);
    private static final UUID SCARF = new UUID(0, 2);
    private static final UUID SKIN = new UUID(0, 3);
    private static final UUID SEA = new UUID(0, 4);
    private static final UUID SAND = new UUID(0, 5);
    private static final UUID WHITE = new UUID(0, 6);
    private static final int JUNIPER = 0;
    private static final int SHORE = 1;
    private static final List<Handful.Known> PALETTE = List.of(
            new Handful.Known(WHITE, -1),
            new Handful.Known(COAT, JUNIPER),
            new Handful.Known(SCARF, JUNIPER),
            new Handful.Known(SKIN, JUNIPER),
            new Handful.Known(SEA, SHORE),
            new Handful.Known(SAND, SHORE));

    private static final CellGraph GRAPH = new CellGraph(
            100,
            100,
            IntStream.range(0, 5)
                    .mapToObj(cell -> new Cell(cell, 100, new Box(0, 0, 10, 10), 5, 5, 3))
                    .toList(),
            List.of(new Border(0, 1, 80), new Border(0, 2, 40), new Border(0, 3, 10), new Border(3, 4, 90)));

    private static List<UUID> handful(Map<Integer, Fill> worn, List<UUID> beside, List<UUID> used) {
        return handful(worn, PALETTE, beside, used);
    }

    private static List<UUID> handful(
            Map<Integer, Fill> worn, List<Handful.Known> palette, List<UUID> beside, List<UUID> used) {
        int[] regions = {0, 1, 2, 3, 4};
        return Handful.of(
                new Handful.Here(GRAPH, regions, cell -> worn.getOrDefault(cell, Fill.NONE), 0), palette, beside, used);
    }

    @Test
    void whatIsWornBesideComesFirstByItsBorderThenTheRestOfItsCardsThenTheHand() {
        Map<Integer, Fill> worn = Map.of(1, Fill.flat(SCARF), 2, Fill.flat(SEA), 4, Fill.flat(SAND));
        assertThat(handful(worn, List.of(), List.of(WHITE))).containsExactly(SCARF, SEA, COAT, SKIN, SAND, WHITE);
    }

    @Test
    void ofTheCardsThatAreMetTheSheetsBesideSayWhatIsLikelier() {
        Map<Integer, Fill> worn = Map.of(1, Fill.flat(SCARF));
        assertThat(handful(worn, List.of(SEA, SKIN, COAT), List.of()))
                .as("the sea is of another card, which nothing here wears")
                .containsExactly(SCARF, SKIN, COAT);
    }

    @Test
    void bordersOfOneSwatchAddUpAndAGradientIsAllItsStops() {
        Fill sky = Fill.ofText("linear 100% 0 0 0 50 0% " + SEA + " 100% " + SAND);
        Map<Integer, Fill> worn = Map.of(1, sky, 2, Fill.flat(COAT), 3, Fill.flat(SAND));
        assertThat(handful(worn, List.of(), List.of())).startsWith(SAND, SEA, COAT);
    }

    @Test
    void whereNothingIsWornTheSheetsBesideAndTheHandSpeakAndThenThePalette() {
        assertThat(handful(Map.of(), List.of(SEA, WHITE), List.of(SKIN)))
                .containsExactly(SEA, WHITE, SKIN, COAT, SCARF, SAND);
    }

    @Test
    void whatTheRegionWearsAlreadyIsNotOffered() {
        Map<Integer, Fill> worn = Map.of(0, Fill.flat(COAT), 1, Fill.flat(COAT), 2, Fill.flat(SCARF));
        assertThat(handful(worn, List.of(), List.of())).doesNotContain(COAT).startsWith(SCARF);
    }

    @Test
    void thereAreNineAtTheMostAndNoneThatIsNotInThePalette() {
        List<Handful.Known> many = new ArrayList<>();
        IntStream.range(100, 130).forEach(i -> many.add(new Handful.Known(new UUID(0, i), JUNIPER)));
        assertThat(handful(Map.of(1, Fill.flat(COAT)), many, List.of(SEA), List.of(SEA)))
                .hasSize(Handful.MOST)
                .doesNotContain(COAT, SEA);
        assertThat(handful(Map.of(1, Fill.flat(new UUID(0, 120))), many, List.of(), List.of()))
                .hasSize(Handful.MOST)
                .startsWith(new UUID(0, 120), new UUID(0, 100));
    }
}
