package stillpond.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.line.DarkerThanBeside.Basis;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.stroke.Stroke;

class DarkerThanBesideTest {

    private static final Swatch COAT = new Swatch(new UUID(0, 1), "Coat", Srgb.ofHex("#2f6f5e"));
    private static final Swatch SAND = new Swatch(new UUID(0, 2), "Sand", Srgb.ofHex("#e8d2a6"));
    private static final Palette PALETTE =
            new Palette(List.of(new Card(new UUID(0, 9), "Juniper", "oilskins", List.of(COAT, SAND))));

    /** Cell 0 wears the coat, 1 the sand, 2 nothing, 3 a gradient from sand to coat. */
    private static final List<Fill> WORN = List.of(
            Fill.flat(COAT.id()),
            Fill.flat(SAND.id()),
            Fill.NONE,
            Fill.ofText("linear 100% 0 0 9 0 0% " + SAND.id() + " 100% " + COAT.id()));

    private static final double[] AREAS = {10, 500, 9000, 20};

    @Test
    void aShadeThatIsThereIsTakenAgainAndNoOtherOneForIt() {
        Map<UUID, Paint> paints = new LinkedHashMap<>();
        paints.put(new UUID(0, 1), new Paint.Process(Srgb.ofHex("#2f6f5e")));
        paints.put(new UUID(0, 3), DarkerThanBeside.darker(COAT.id(), 0.2));
        paints.put(new UUID(0, 4), DarkerThanBeside.darker(SAND.id(), 0.1));
        paints.put(new UUID(0, 5), DarkerThanBeside.darker(SAND.id(), 0.1));
        assertThat(DarkerThanBeside.among(paints, DarkerThanBeside.darker(SAND.id(), 0.1)))
                .contains(new UUID(0, 4));
        assertThat(DarkerThanBeside.among(paints, DarkerThanBeside.darker(COAT.id(), 0.1)))
                .isEmpty();
    }

    @Test
    void theDarkerRegionBesideCounts() {
        assertThat(sources(Basis.DARKER, false, stroke(0, 0, 1))).isEqualTo(Map.of(0, COAT.id()));
    }

    @Test
    void theLargerRegionBesideCounts() {
        assertThat(sources(Basis.LARGER, false, stroke(0, 0, 1))).isEqualTo(Map.of(0, SAND.id()));
    }

    @Test
    void aStrokeAgainstNothingStaysAsItIsUnlessThatIsSaid() {
        Stroke outline = stroke(0, 1, 2);
        assertThat(sources(Basis.DARKER, false, outline)).isEmpty();
        assertThat(sources(Basis.DARKER, true, outline)).isEqualTo(Map.of(0, SAND.id()));
        assertThat(sources(Basis.LARGER, true, outline))
                .as("what has no fill has no colour to give, however large it is")
                .isEqualTo(Map.of(0, SAND.id()));
        assertThat(sources(Basis.DARKER, true, stroke(0, 2))).isEmpty();
    }

    @Test
    void theDarkestSwatchOfAGradientStandsForIt() {
        assertThat(sources(Basis.LARGER, false, stroke(0, 3), stroke(1, 1, 3)))
                .isEqualTo(Map.of(0, COAT.id(), 1, SAND.id()));
    }

    @Test
    void theDarkerSwatchFollows() {
        Paint.Tied paint = DarkerThanBeside.darker(COAT.id(), 0.2);
        assertThat(paint.source()).isEqualTo(COAT.id());
        Srgb darker = paint.tie().of(PALETTE.colourOf(COAT.id()).orElseThrow(), other -> Srgb.ofHex("#000000"));
        assertThat(Oklab.of(darker).lightness())
                .isCloseTo(Oklab.of(PALETTE.colourOf(COAT.id()).orElseThrow()).lightness() - 0.2, within(0.01));
    }

    private static Map<Integer, UUID> sources(Basis basis, boolean alsoAgainstNothing, Stroke... strokes) {
        return new DarkerThanBeside(basis, alsoAgainstNothing, WORN::get, cell -> AREAS[cell], PALETTE)
                .sources(List.of(strokes));
    }

    private static Stroke stroke(int number, int... cells) {
        List<Stroke.Side> sides = Arrays.stream(cells)
                .mapToObj(cell -> new Stroke.Side(cell, 1.0 / cells.length))
                .toList();
        return new Stroke(number, 30, new Box(0, 0, 10, 3), sides);
    }
}
