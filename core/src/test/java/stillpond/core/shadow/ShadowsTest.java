package stillpond.core.shadow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.BlendMode;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Point;
import stillpond.core.ledger.CellGroups;
import stillpond.core.refusal.Refusal;

class ShadowsTest {

    private static Shadow shadow(int number, int strength) {
        return new Shadow(
                number,
                0,
                "Fold " + number,
                new Base.Cells(List.of(3, 1)),
                Form.ofText("side 90 8"),
                BlendMode.MULTIPLY,
                20,
                strength,
                0);
    }

    private final Shadows three =
            Shadows.NONE.adding(shadow(7, 90)).adding(shadow(2, 50)).adding(shadow(5, 20));

    private static List<Integer> order(Shadows shadows) {
        return shadows.all().stream().map(Shadow::number).toList();
    }

    @Test
    void newOnesLieInFrontAndCanBeMoved() {
        assertThat(order(three)).containsExactly(7, 2, 5);
        assertThat(order(three.moving(5, -1))).containsExactly(7, 5, 2);
        assertThat(order(three.moving(7, 9))).containsExactly(2, 5, 7);
        assertThat(order(three.moving(5, -1).moving(5, -1).moving(2, -2))).containsExactly(2, 5, 7);
        assertThat(three.moving(5, 1)).isEqualTo(three);
    }

    @Test
    void manyAreMadeStrongerOrWeakerAtOnceAsFarAsItGoes() {
        Shadows stronger = three.strengthening(Set.of(7, 5), 15);
        assertThat(stronger.get(7).strength()).isEqualTo(100);
        assertThat(stronger.get(5).strength()).isEqualTo(35);
        assertThat(stronger.get(2).strength()).isEqualTo(50);
        assertThat(three.strengthening(Set.of(5), -30).get(5).strength()).isZero();
    }

    @Test
    void partsOfASplitCellBelongToTheBaseThatTheCellBelongsTo() {
        Map<Integer, List<Integer>> parts = Map.of(3, List.of(9, 8), 4, List.of(10));
        assertThat(Base.ofText("cells 1 3").withParts(parts).text()).isEqualTo("cells 1 3 8 9");
        String group = "group " + new UUID(0, 1) + " ";
        assertThat(Base.ofText(group + "4 5").withParts(parts).text()).isEqualTo(group + "4 5 10");
        assertThat(Base.LAID.withParts(parts)).isEqualTo(Base.LAID);
    }

    @Test
    void rimsAndSurfacesAreNotMadeStrongerWithTheShadows() {
        List<String> forms = List.of("side 45 6", "drawn 0,0! 9,0! 9,9!", "rim 4 round", "grain 3 7", "soft 5");
        assertThat(forms.stream().filter(form -> formed(form).isShading()))
                .containsExactly("side 45 6", "drawn 0,0! 9,0! 9,9!");
    }

    private static Shadow formed(String form) {
        return new Shadow(1, 0, "Fold", Base.LAID, Form.ofText(form), BlendMode.NORMAL, 20, 100, 0);
    }

    @Test
    void takingBackLeavesAloneWhatWasChangedSince() {
        Shadows changed = three.strengthening(Set.of(7, 5), 5);
        List<Shadows.Swap> swaps = three.becoming(changed);
        assertThat(swaps).hasSize(2);
        assertThat(changed.takingBack(swaps).shadows()).isEqualTo(three);

        Shadows since = changed.strengthening(Set.of(5), 1).without(2);
        Shadows.TakenBack back = since.takingBack(swaps);
        assertThat(back.shadows().get(7).strength()).isEqualTo(90);
        assertThat(back.shadows().get(5).strength()).isEqualTo(26);
        assertThat(back.leftAlone()).isEqualTo(1);
        assertThat(back.shadows().find(2)).isEmpty();
    }

    @Test
    void aRemovedOneComesBackInItsPlace() {
        Shadows fewer = three.without(2);
        assertThat(order(fewer.takingBack(three.becoming(fewer)).shadows())).containsExactly(7, 2, 5);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> three.adding(shadow(7, 10))).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> three.get(8)).hasMessageContaining("not there any more");
        assertThatThrownBy(() -> shadow(-1, 10)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> shadow(1, 101)).isInstanceOf(Refusal.class);
        Shadow homeless = three.get(7).copied(8, 0, new Base.Cells(List.of()));
        assertThatThrownBy(() -> three.adding(homeless)).hasMessageContaining("needs a base");
        Shadows full = new Shadows(
                IntStream.range(0, Shadows.MOST).mapToObj(i -> shadow(i, 1)).toList());
        assertThatThrownBy(() -> full.adding(shadow(9999, 1))).hasMessageContaining("up to 500");
    }

    @Test
    void basesAreTheSameAfterBeingWrittenAndRead() {
        String group = "group " + UUID.randomUUID() + " 4 7";
        for (String text : List.of("cells 1 3 12", "laid", group)) {
            assertThat(Base.ofText(text).text()).isEqualTo(text);
        }
        for (String text : List.of("", "cells x", "group", "group 12", "figure 3")) {
            assertThatThrownBy(() -> Base.ofText(text)).isInstanceOf(Refusal.class);
        }
    }

    @Test
    void aGroupIsTheBaseAsLongAsItIsThere() {
        UUID id = UUID.randomUUID();
        CellGroups groups = CellGroups.NONE.making(id, "Coat", List.of(4, 5, 6));
        Base base = new Base.Group(id, List.of(4, 5));
        assertThat(base.cells(groups, Fills.none())).containsExactlyInAnyOrder(4, 5, 6);
        assertThat(base.cells(CellGroups.NONE, Fills.none())).containsExactlyInAnyOrder(4, 5);
    }

    @Test
    void everythingLaidIsABaseThatGrowsWithTheFills() {
        Fill fill = Fill.flat(UUID.randomUUID());
        assertThat(Base.LAID.cells(CellGroups.NONE, Fills.of(Map.of(2, fill, 8, fill, -1, fill))))
                .containsExactlyInAnyOrder(2, 8);
    }

    /** A quarter turn to the right in a mirror: what was right is up. */
    @Test
    void directionsAndLengthsFollowToAnotherDrawing() {
        Form.Placed placed = new Form.Placed(point -> new Point(-2 * point.y(), -2 * point.x()), 2, 90, true);
        assertThat(Form.ofText("side 0 8").placed(placed)).isEqualTo(Form.ofText("side 270 16"));
        assertThat(Form.ofText("drawn 1,0! 2,0 3,4~1,0~0,1").placed(placed).text())
                .isEqualTo("drawn 0,-2! 0,-4 -8,-6~0,-2~-2,0");
    }

    @Test
    void cellsThatBecameOthersStayTheBase() {
        Shadows moved =
                three.inCells(cells -> cells.stream().map(cell -> cell + 10).toList());
        assertThat(moved.get(7).base()).isEqualTo(new Base.Cells(List.of(11, 13)));
        Shadows lost = three.inCells(cells -> List.of());
        assertThat(lost.get(7).base().named()).isEmpty();
        assertThat(lost.changing(lost.get(7).stronger(-5)).get(7).strength())
                .as("one that has lost its base can still be changed")
                .isEqualTo(85);
    }
}
