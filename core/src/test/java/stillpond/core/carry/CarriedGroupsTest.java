package stillpond.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Regions;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;

/** Four cells, each a region of its own, on both drawings. */
class CarriedGroupsTest {

    private static final UUID MADE = new UUID(0, 7);

    private final Regions regions = Regions.of(List.of(), 4, Dams.at(1));
    private final CellGroups coat =
            new CellGroups(List.of(new CellGroup(new UUID(0, 1), "Coat", true, true, List.of(0, 1))));

    private static Carry.Proposal like(int region, int from, double share) {
        Carry.Choice choice = new Carry.Choice(1, 0, from, share, 0.8, new Pose(1, 0, 0, 0, false));
        return new Carry.Proposal(region, List.of(choice));
    }

    private CellGroups carry(CellGroups present, Carry.Proposal... proposals) {
        return new CarriedGroups(regions, 0).onto(coat, List.of(proposals), regions, present, () -> MADE);
    }

    @Test
    void whatIsSurelyLikeAPartOfAGroupIsInAGroupOfThatName() {
        CellGroups carried = carry(CellGroups.NONE, like(3, 0, 0.99), like(2, 1, 0.99), like(1, 2, 0.99));
        assertThat(carried.groups()).containsExactly(new CellGroup(MADE, "Coat", false, false, List.of(2, 3)));
    }

    @Test
    void whatIsInDoubtOrLikeNothingOfItIsNot() {
        assertThat(carry(CellGroups.NONE, like(3, 0, 0.9), like(1, 2, 0.99))).isEqualTo(CellGroups.NONE);
    }

    @Test
    void groupsThatAreThereKeepTheirCellsAndOneOfTheSameNameGetsTheOthers() {
        CellGroups present = new CellGroups(List.of(
                new CellGroup(new UUID(0, 2), "Bag", false, false, List.of(3)),
                new CellGroup(new UUID(0, 3), "Coat", true, false, List.of(0))));
        CellGroups carried = carry(present, like(3, 0, 0.99), like(2, 1, 0.99));
        assertThat(carried.groups())
                .containsExactly(
                        present.groups().get(0), new CellGroup(new UUID(0, 3), "Coat", true, false, List.of(0, 2)));
        assertThat(carry(carried, like(3, 0, 0.99), like(2, 1, 0.99))).isEqualTo(carried);
    }
}
