package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;

class CardsChangeTest {

    private static final Swatch COAT = new Swatch(new UUID(0, 1), "Coat", new Srgb(47, 111, 94));
    private static final Swatch SCARF = new Swatch(new UUID(0, 2), "Scarf", new Srgb(200, 40, 40));
    private static final Swatch HAT = new Swatch(new UUID(0, 3), "Hat", new Srgb(20, 20, 90));
    private static final Card WREN = new Card(new UUID(1, 1), "Wren", "", List.of(COAT, SCARF, HAT));
    private static final Card QUAY = new Card(new UUID(1, 2), "Quay", "place", List.of());
    private static final Palette BEGUN = new Palette(List.of(WREN, QUAY));

    private static CardsChange change(Palette before, PaletteEdit edit) {
        return CardsChange.between(before, before.after(edit), Map.of());
    }

    private static Swatch darker(Swatch swatch) {
        return swatch.painted(new Paint.Process(new Srgb(1, 2, 3)));
    }

    @Test
    void everyEditGoesBackToWhereItBegan() {
        List<PaletteEdit> edits = List.of(
                new PaletteEdit.Change(darker(SCARF)),
                new PaletteEdit.Remove(SCARF.id()),
                new PaletteEdit.Move(COAT.id(), QUAY.id(), 0),
                new PaletteEdit.Move(COAT.id(), WREN.id(), 2),
                new PaletteEdit.NameCard(WREN.id(), "Wren, wet", "oilskins"),
                new PaletteEdit.LockCard(WREN.id(), true),
                new PaletteEdit.AddCard(new Card(new UUID(1, 3), "Boat", "", List.of())));
        for (PaletteEdit edit : edits) {
            CardsChange change = change(BEGUN, edit);
            CardsChange.TakenBack back = change.takenBackIn(BEGUN.after(edit));
            assertThat(back.palette().cards()).as(edit.words()).isEqualTo(BEGUN.cards());
            assertThat(back.leftAlone()).isZero();
            assertThat(change.inverse().takenBackIn(BEGUN).palette().cards())
                    .as("done again: " + edit.words())
                    .isEqualTo(BEGUN.after(edit).cards());
            assertThat(change.undoneIn(BEGUN.after(edit)).cards()).isEqualTo(BEGUN.cards());
        }
    }

    @Test
    void whatWasChangedSinceStaysAndTheRestGoesBack() {
        CardsChange change = CardsChange.between(
                BEGUN,
                BEGUN.after(new PaletteEdit.Change(darker(COAT))).after(new PaletteEdit.Change(darker(SCARF))),
                Map.of());
        Palette since = BEGUN.after(new PaletteEdit.Change(darker(COAT)))
                .after(new PaletteEdit.Change(HAT.painted(new Paint.Process(new Srgb(9, 9, 9)))))
                .after(new PaletteEdit.Change(SCARF.painted(new Paint.Process(new Srgb(8, 8, 8)))))
                .after(new PaletteEdit.NameCard(WREN.id(), "Wren at sea", ""));
        CardsChange.TakenBack back = change.takenBackIn(since);
        assertThat(back.leftAlone()).isEqualTo(1);
        assertThat(back.palette().colourOf(COAT.id())).contains(new Srgb(47, 111, 94));
        assertThat(back.palette().colourOf(SCARF.id())).contains(new Srgb(8, 8, 8));
        assertThat(back.palette().colourOf(HAT.id())).contains(new Srgb(9, 9, 9));
        assertThat(back.palette().card(WREN.id()).orElseThrow().name()).isEqualTo("Wren at sea");
    }

    @Test
    void aCardOnWhichSomebodyPutSomethingSinceIsNotTakenAway() {
        Card boat = new Card(new UUID(1, 3), "Boat", "", List.of());
        CardsChange change = change(BEGUN, new PaletteEdit.AddCard(boat));
        Palette since = BEGUN.after(new PaletteEdit.AddCard(boat)).after(new PaletteEdit.Move(HAT.id(), boat.id(), 0));
        CardsChange.TakenBack back = change.takenBackIn(since);
        assertThat(back.palette().cardOf(HAT.id())).map(Card::name).contains("Boat");
        assertThat(back.leftAlone()).isEqualTo(1);
    }

    @Test
    void aSwatchThatIsNowTheSourceOfATieDoesNotGo() {
        Swatch rim = new Swatch(new UUID(0, 4), "Rim", new Srgb(1, 1, 1));
        CardsChange change = change(BEGUN, new PaletteEdit.Add(QUAY.id(), rim, 0));
        Palette since = BEGUN.after(new PaletteEdit.Add(QUAY.id(), rim, 0))
                .after(new PaletteEdit.Change(HAT.painted(
                        new Paint.Tied(rim.id(), Tie.Shift.between(new Srgb(1, 1, 1), new Srgb(2, 2, 2))))));
        assertThatIllegalArgumentException().isThrownBy(() -> change.takenBackIn(since));
    }
}
