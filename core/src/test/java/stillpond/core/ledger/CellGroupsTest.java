package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class CellGroupsTest {

    private final UUID face = UUID.randomUUID();
    private final UUID rest = UUID.randomUUID();
    private final CellGroups two =
            CellGroups.NONE.making(rest, "Rest", List.of(4, 5, 6)).making(face, "Face", List.of(1, 2, 3));

    @Test
    void aNewGroupTakesItsCellsOutOfTheOthersAndEmptyOnesVanish() {
        CellGroups split = two.making(UUID.randomUUID(), "Eyes", List.of(2, 5));
        assertThat(split.groups())
                .extracting(group -> group.name() + group.cells())
                .containsExactly("Eyes[2, 5]", "Face[1, 3]", "Rest[4, 6]");
        CellGroups joined = two.making(UUID.randomUUID(), "All", List.of(1, 2, 3, 4, 5, 6));
        assertThat(joined.groups())
                .singleElement()
                .satisfies(all -> assertThat(all.cells()).hasSize(6));
    }

    @Test
    void groupsGoForwardAndBackwardAsFarAsItGoes() {
        assertThat(two.moving(face, 1).groups()).extracting(CellGroup::name).containsExactly("Rest", "Face");
        assertThat(two.moving(face, -5)).isEqualTo(two);
        assertThat(two.moving(face, 5).groups()).extracting(CellGroup::name).containsExactly("Rest", "Face");
    }

    @Test
    void everyColourOfCellsInNoGroupBecomesOneNamedFromPartAndCard() {
        Swatch coat = new Swatch(UUID.randomUUID(), "Green", "coat", "", new Paint.Process(Srgb.ofHex("#2f6f5e")));
        Swatch sand = new Swatch(UUID.randomUUID(), "Sand", Srgb.ofHex("#dfb981"));
        Palette palette = new Palette(List.of(
                new Card(UUID.randomUUID(), "Juniper", "", List.of(coat)),
                new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(sand))));
        Fills fills = Fills.of(Map.of(
                1, Fill.flat(coat.id()),
                7, Fill.flat(sand.id()),
                8, Fill.flat(coat.id()),
                9, Fill.flat(coat.id())));
        assertThat(two.forEachColour(fills, 12, palette).groups())
                .extracting(group -> group.name() + group.cells())
                .containsExactly("Face[1, 2, 3]", "Rest[4, 5, 6]", "coat, Juniper[8, 9]", "Sand[7]");
    }

    @Test
    void aLockedGroupIsFoundByAnyOfItsCells() {
        CellGroups locked = two.changing(face, group -> group.locked(true));
        assertThat(locked.objectionTo(List.of(9, 3)))
                .hasValueSatisfying(why -> assertThat(why).contains("'Face' is locked"));
        assertThat(locked.objectionTo(List.of(4, 9))).isEmpty();
    }

    @Test
    void groupsGoOverToOtherCellsWithoutSharingAny() {
        CellGroups moved = two.inCells(
                group -> group.cells().stream().map(cell -> cell / 2).toList());
        assertThat(moved.groups())
                .extracting(group -> group.name() + group.cells())
                .containsExactly("Face[0, 1]", "Rest[2, 3]");
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        assertThatThrownBy(() -> two.making(UUID.randomUUID(), "  ", List.of(1)))
                .hasMessageContaining("name");
        assertThatThrownBy(() -> two.without(UUID.randomUUID())).hasMessageContaining("not there");
    }

    @Test
    void whatWasDoneToGroupsGoesBackUnlessItWasChangedSince() {
        UUID coats = new UUID(7, 1);
        UUID boats = new UUID(7, 2);
        CellGroups begun = CellGroups.NONE.making(boats, "Boats", List.of(4, 5)).making(coats, "Coats", List.of(1, 2));
        CellGroups removed = begun.without(boats);
        assertThat(removed.takingBack(begun, removed).groups()).isEqualTo(begun);
        CellGroups taken = begun.making(new UUID(7, 3), "Front", List.of(2, 4));
        assertThat(taken.takingBack(begun, taken).groups())
                .as("cells go back too")
                .isEqualTo(begun);
        CellGroups moved = begun.moving(coats, 1);
        assertThat(moved.takingBack(begun, moved).groups()).isEqualTo(begun);

        CellGroups since =
                removed.making(new UUID(7, 4), "Sails", List.of(5)).changing(coats, each -> each.named("Oilskins"));
        CellGroups.TakenBack back = since.takingBack(begun, removed);
        assertThat(back.leftAlone()).isZero();
        assertThat(back.groups().groups()).extracting(CellGroup::name).containsExactly("Sails", "Boats", "Oilskins");
        assertThat(back.groups().groups().get(1).cells())
                .as("the other is in another group now")
                .containsExactly(4);

        CellGroups renamed = begun.changing(coats, each -> each.named("Furs"));
        assertThat(since.takingBack(begun, renamed).leftAlone()).isEqualTo(1);
    }
}
