package stillpond.core.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.ink.Placing;
import stillpond.core.refusal.Refusal;

class FillsTest {

    private static final Fill COAT = Fill.flat(UUID.fromString("00000000-0000-0000-0000-00000000c0a7"));
    private static final Fill SCARF = Fill.flat(UUID.fromString("00000000-0000-0000-0000-00000000ca2f"));

    @Test
    void layingLeavesOutWhatWearsItAlready() {
        Fills fills = Fills.of(Map.of(1, COAT, 2, SCARF));
        assertThat(fills.laying(COAT, List.of(1, 2, 3, 2)).swaps())
                .containsExactly(new Swap(2, SCARF, COAT), new Swap(3, Fill.NONE, COAT));
    }

    @Test
    void takingBackLeavesAloneWhatSomebodyElseChangedSince() {
        Fills fills = Fills.none();
        Change mine = fills.laying(COAT, List.of(1, 2));
        fills = fills.after(mine);
        fills = fills.after(fills.laying(SCARF, List.of(2)));
        Fills after = fills.after(fills.takingBack(mine));
        assertThat(after.of(1)).isEqualTo(Fill.NONE);
        assertThat(after.of(2)).isEqualTo(SCARF);
    }

    @Test
    void aChangeThatDoesNotFitIsRefused() {
        Change change = new Change(List.of(new Swap(4, COAT, SCARF)));
        assertThatThrownBy(() -> Fills.none().after(change)).hasMessageContaining("Place 4 wears none");
    }

    @Test
    void textFormsComeBack() {
        assertThat(Fill.ofText(COAT.text())).isEqualTo(COAT);
        assertThat(Fill.ofText("none")).isEqualTo(Fill.NONE);
        assertThatThrownBy(() -> Fill.ofText("green")).hasMessageContaining("'green'");
    }

    @Test
    void everyKindOfFillComesBackFromItsText() {
        String coat = COAT.text();
        String scarf = SCARF.text();
        for (String text : List.of(
                "flat 40% " + coat,
                "linear 100% 10 -20 300 40 0% " + coat + " 50% " + scarf + " 100% " + coat,
                "radial 70% 10 20 30 40 0% " + coat + " 100% " + scarf,
                "pattern 100% 0 0 64 0 tide mirrored " + coat + " " + scarf,
                "pattern 100% 0 0 64 0 tide flipped:250 " + coat + " " + scarf,
                "pattern 100% 0 0 64 0 tide both " + coat + " " + scarf)) {
            assertThat(Fill.ofText(text).text()).isEqualTo(text);
        }
        assertThat(Fill.ofText("flat 100% " + coat)).isEqualTo(COAT);
    }

    @Test
    void whatIsNoFillIsRefusedWithTheReason() {
        String coat = COAT.text();
        for (String text : List.of(
                "linear 100% 1 2 3 4 0% " + coat,
                "linear 100% 1 2 1 2 0% " + coat + " 100% " + coat,
                "linear 100% 1 2 3 4 60% " + coat + " 40% " + coat,
                "linear 0% 1 2 3 4 0% " + coat + " 100% " + coat,
                "pattern 100% 1 2 3 4 ../waves plain " + coat,
                "pattern 100% 1 2 3 4 tide plain",
                "radial 100% 1 2 x 4 0% " + coat + " 100% " + coat,
                "flat 40%")) {
            assertThatThrownBy(() -> Fill.ofText(text))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("is no fill");
        }
    }

    @Test
    void replacingASwatchReachesStopsAndPatterns() {
        UUID coat = COAT.swatches().get(0);
        UUID scarf = SCARF.swatches().get(0);
        UUID other = new UUID(0, 5);
        Fill gradient = Fill.ofText("linear 100% 0 0 9 0 0% " + coat + " 100% " + other);
        Fill pattern = Fill.ofText("pattern 100% 0 0 64 0 tide plain " + other + " " + coat);
        Fills fills = Fills.of(Map.of(1, COAT, 2, gradient, 3, pattern, 4, Fill.flat(other)));
        Fills replaced = fills.after(fills.replacing(Set.of(coat), scarf));
        assertThat(replaced.of(1)).isEqualTo(SCARF);
        assertThat(replaced.of(2).swatches()).containsExactly(scarf, other);
        assertThat(replaced.of(3).swatches()).containsExactly(other, scarf);
        assertThat(replaced.of(4)).isEqualTo(Fill.flat(other));
    }

    @Test
    void stopsKeepTheirOrderHoweverTheyAreMoved() {
        String[] ids = {COAT.text(), SCARF.text(), COAT.text()};
        Fill.Gradient gradient =
                (Fill.Gradient) Fill.ofText("linear 100% 0 0 9 0 10% " + ids[0] + " 50% " + ids[1] + " 90% " + ids[2]);
        assertThat(percents(gradient.movingStop(1, 70))).containsExactly(10, 70, 90);
        assertThat(percents(gradient.movingStop(1, 99))).containsExactly(10, 90, 90);
        assertThat(percents(gradient.movingStop(0, -5))).containsExactly(0, 50, 90);
        assertThat(percents(gradient.addingStop(0))).containsExactly(10, 30, 50, 90);
        assertThat(percents(gradient.addingStop(2))).containsExactly(10, 50, 70, 90);
        assertThat(percents(gradient.withoutStop(1))).containsExactly(10, 90);
        assertThat(percents(gradient.turned())).containsExactly(10, 50, 90);
        assertThat(gradient.addingStop(0).stops().get(1).swatch())
                .isEqualTo(COAT.swatches().get(0));
    }

    private static List<Integer> percents(Fill.Gradient gradient) {
        return gradient.stops().stream().map(Stop::percent).toList();
    }

    @Test
    void aFillBeginsWhereItSuitsTheBoxThatItIsLaidIn() {
        Box box = new Box(10, 20, 110, 60);
        assertThat(Span.downThrough(box)).isEqualTo(new Span(60, 20, 60, 60));
        assertThat(Span.outOf(box)).isEqualTo(new Span(60, 40, 110, 40));
        assertThat(Span.repeatedIn(box)).as("no smaller than 24 pixels").isEqualTo(new Span(10, 20, 34, 20));
        assertThat(Span.repeatedIn(new Box(0, 0, 200, 300))).isEqualTo(new Span(0, 0, 60, 0));
    }

    @Test
    void aGradientStaysInItsPlaceOnALargerScan() {
        Fill gradient = Fill.ofText("linear 100% 10 20 110 20 0% " + COAT.text() + " 100% " + SCARF.text());
        Fill there = gradient.seenFrom(new Placing(0.5, 0.5, -5, 0));
        assertThat(((Fill.Gradient) there).span()).isEqualTo(new Span(30, 40, 230, 40));
    }

    @Test
    void tonesGoInTensAndEndAtTheSwatchItself() {
        UUID swatch = UUID.randomUUID();
        Fill whole = Fill.flat(swatch);
        Fill half = Fill.Tone.stepped(whole, -5);
        assertThat(half.text()).isEqualTo("tone 50% " + swatch);
        assertThat(Fill.ofText(half.text())).isEqualTo(half);
        assertThat(Fill.Tone.stepped(half, 5)).isEqualTo(whole);
        assertThat(Fill.Tone.stepped(half, -9)).isEqualTo(new Fill.Tone(swatch, 10));
        assertThat(Fill.Tone.stepped(Fill.NONE, -1)).isEqualTo(Fill.NONE);
        assertThat(half.without(Map.of(swatch, Optional.empty()))).isEqualTo(Fill.NONE);
        assertThat(half.isOneSwatchOrNone()).isFalse();
        for (String text : List.of("tone 45% " + swatch, "tone 100% " + swatch, "tone 0% " + swatch)) {
            assertThatThrownBy(() -> Fill.ofText(text)).isInstanceOf(Refusal.class);
        }
    }

    @Test
    void oneRepeatIsStretchedOverABoxAndASpanTurnedByDegrees() {
        Fill.Pattern pattern = (Fill.Pattern) Fill.ofText("pattern 100% 0 0 64 0 tide mirrored " + new UUID(0, 1));
        assertThat(pattern.stretchedTo(new Box(10, 20, 210, 120)).text())
                .isEqualTo("pattern 100% 10 20 210 20 tide mirrored:50 " + new UUID(0, 1));
        Span begun = new Span(10, 10, 110, 10);
        SpanPlace place = new SpanPlace(250, 90, 5, -5);
        assertThat(place.beside(begun)).isEqualTo(new Span(15, 5, 15, 255));
        assertThat(SpanPlace.of(begun, new Span(15, 5, 15, 255))).isEqualTo(place);
        assertThat(place.turned(15).degrees()).isEqualTo(105);
        assertThat(new SpanPlace(100, 40, 0, 0).turned(-15).degrees()).isEqualTo(30);
        assertThat(new SpanPlace(100, -40, 0, 0).turned(15).degrees()).isEqualTo(-30);
        assertThat(Span.from(100, 50, 200, 90)).isEqualTo(new Span(100, 50, 100, 250));
        assertThat(Span.from(0, 0, 100, -30)).isEqualTo(new Span(0, 0, 87, -50));
        assertThat(Span.from(0, 0, 100, 165).degrees()).isEqualTo(165);
        assertThat(new Span(5, 0, 0, 0).degrees()).isEqualTo(180);
        assertThatThrownBy(() -> Fill.ofText("pattern 100% 0 0 64 0 tide askew " + new UUID(0, 1)))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Fill.ofText("pattern 100% 0 0 64 0 tide plain:4 " + new UUID(0, 1)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("as high as wide");
    }

    @Test
    void whatIsKeptOnACardLiesWhereItIsLaidAndLooksAsItIsKept() {
        UUID kept = new UUID(0, 9);
        String look = "linear 100% 5 6 7 80 0% " + new UUID(0, 1) + " 100% " + new UUID(0, 2);
        Fill sky = Fill.ofText(look).keptAs(Optional.of(kept)).nowhere();
        assertThat(Fill.ofText(sky.text())).isEqualTo(sky);
        assertThat(sky.kept()).contains(kept);
        Fill laid = sky.placedIn(new Box(10, 20, 30, 100));
        assertThat(laid.text()).startsWith("linear 100% 20 20 20 100 ").endsWith(" as " + kept);
        assertThat(laid.placedIn(new Box(0, 0, 9, 9)))
                .as("it lies somewhere already")
                .isEqualTo(laid);

        Fill other = Fill.ofText("pattern 80% 0 0 9 9 tide mirrored " + new UUID(0, 3));
        assertThat(laid.like(other).text())
                .isEqualTo("pattern 80% 20 20 20 100 tide mirrored " + new UUID(0, 3) + " as " + kept);
        assertThat(laid.wearing(each -> new UUID(0, 4)).kept()).contains(kept);
        assertThat(laid.keptAs(Optional.empty()).text()).doesNotContain(" as ");
        assertThatThrownBy(() -> Fill.flat(kept).keptAs(Optional.of(kept)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Gradients and patterns");
    }
}
