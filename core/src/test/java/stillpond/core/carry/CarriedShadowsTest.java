package stillpond.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.colour.BlendMode;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Regions;
import stillpond.core.shadow.Base;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.Shadows;

class CarriedShadowsTest {

    /** Three cells in a row, each a region of its own, on both drawings. */
    private final CellGraph graph = new CellGraph(30, 10, List.of(cell(0, 100), cell(1, 60), cell(2, 20)), List.of());

    private final Regions regions = Regions.of(List.of(), 3, Dams.at(1));
    private final CarriedShadows carrying = new CarriedShadows(graph, regions, 0);

    /** Half as large again, and moved. */
    private final Pose pose = new Pose(1.5, 0, 10, 20, false);

    private static Cell cell(int number, int areaPx) {
        return new Cell(number, areaPx, new Box(10 * number, 0, 10 * number + 10, 10), 10 * number + 5, 5, 5);
    }

    private static Shadow shadow(int number, Form form, int... cells) {
        Base base = new Base.Cells(IntStream.of(cells).boxed().toList());
        return new Shadow(number, number, "Fold", base, form, BlendMode.MULTIPLY, 20, 80, 4);
    }

    private Carry.Proposal like(int region, int from, double share) {
        return new Carry.Proposal(region, List.of(new Carry.Choice(1, 0, from, share, 0.8, pose)));
    }

    private List<CarriedShadows.Carried> carry(Shadow shadow, Shadows present, Carry.Proposal... proposals) {
        Set<Integer> base = Set.copyOf(shadow.base().named());
        return carrying.onto(
                new Shadows(List.of(shadow)),
                Map.of(shadow.number(), base),
                List.of(proposals),
                regions,
                present,
                () -> 77);
    }

    @Test
    void itLiesOnTheLikesOfItsBaseInTheirPose() {
        Form drawn = Form.ofText("drawn 0,0! 10,0! 10,10!");
        Shadow carried = carry(shadow(3, drawn, 0, 1), Shadows.NONE, like(2, 0, 0.99), like(1, 1, 0.99))
                .get(0)
                .shadow();
        assertThat(carried.base()).isEqualTo(new Base.Cells(List.of(1, 2)));
        assertThat(carried.form().text()).isEqualTo("drawn 10,20! 25,20! 25,35!");
        assertThat(carried.edgePx()).isEqualTo(6);
        assertThat(carried.number()).isEqualTo(77);
        assertThat(carried.strength()).isEqualTo(80);
    }

    @Test
    void halfOfItsBaseIsEnoughAndLessIsNot() {
        Form strip = Form.ofText("side 90 8");
        assertThat(carry(shadow(3, strip, 0, 1), Shadows.NONE, like(2, 0, 0.99)))
                .hasSize(1);
        assertThat(carry(shadow(3, strip, 0, 1), Shadows.NONE, like(2, 1, 0.99)))
                .isEmpty();
        assertThat(carry(shadow(3, strip, 0), Shadows.NONE, like(2, 0, 0.5)))
                .as("a doubtful like")
                .isEmpty();
    }

    @Test
    void whatIsThereAlreadyIsNotBroughtAgain() {
        Form strip = Form.ofText("side 90 8");
        Shadows present = new Shadows(List.of(shadow(5, strip, 2)));
        assertThat(carry(shadow(3, strip, 0), present, like(2, 0, 0.99))).isEmpty();
        assertThat(carry(shadow(3, strip, 0), present, like(1, 0, 0.99))).hasSize(1);
    }
}
