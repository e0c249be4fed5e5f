package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;

class LocksTest {

    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private final Swatch cuff =
            new Swatch(UUID.randomUUID(), "Cuff", "", "", new Paint.Tied(coat.id(), Tie.ofText("shade 20")));
    private final Swatch rope = new Swatch(UUID.randomUUID(), "Rope", Srgb.ofHex("#c8b27a"));
    private final Card open = new Card(UUID.randomUUID(), "Quay", "things", List.of(coat, rope));
    private final Card locked = new Card(UUID.randomUUID(), "Juniper", "oilskins", List.of(cuff)).locked(true);
    private final Palette palette = new Palette(List.of(open, locked));

    @Test
    void whatNoLockedCardFollowsChangesFreely() {
        assertHolds(new PaletteEdit.Remove(rope.id()));
        assertHolds(new PaletteEdit.NameCard(open.id(), "Jetty", "things"));
        assertHolds(new PaletteEdit.Move(coat.id(), open.id(), 1));
        assertHolds(new PaletteEdit.AddCard(new Card(UUID.randomUUID(), "Bram", "", List.of())));
    }

    @Test
    void aSwatchThatALockedOneFollowsIsHeldToo() {
        assertBreaks(new PaletteEdit.Remove(coat.id()), locked);
        assertBreaks(new PaletteEdit.Change(new Swatch(coat.id(), "Coat", Srgb.ofHex("#804040"))), locked);
        assertHolds(new PaletteEdit.Change(new Swatch(coat.id(), "Oilskin", Srgb.ofHex("#2f6f5e"))));
    }

    @Test
    void aLockedCardStaysAsItIs() {
        assertBreaks(
                new PaletteEdit.Add(locked.id(), new Swatch(UUID.randomUUID(), "Hood", Srgb.ofHex("#c8b27a")), 0),
                locked);
        assertBreaks(new PaletteEdit.Move(rope.id(), locked.id(), 0), locked);
        assertBreaks(new PaletteEdit.Move(cuff.id(), open.id(), 0), locked);
        assertBreaks(new PaletteEdit.NameCard(locked.id(), "June", ""), locked);
    }

    @Test
    void theLockItselfIsHeld() {
        assertBreaks(new PaletteEdit.LockCard(locked.id(), false), locked);
        assertBreaks(new PaletteEdit.LockCard(open.id(), true), open);
        assertBreaks(new PaletteEdit.AddCard(new Card(UUID.randomUUID(), "Bram", "", List.of()).locked(true)), "Bram");
    }

    private void assertHolds(PaletteEdit edit) {
        assertThat(Locks.broken(palette, palette.after(edit))).isEmpty();
    }

    private void assertBreaks(PaletteEdit edit, Card card) {
        assertThat(Locks.broken(palette, palette.after(edit)).map(Card::id)).contains(card.id());
    }

    private void assertBreaks(PaletteEdit edit, String name) {
        assertThat(Locks.broken(palette, palette.after(edit)).map(Card::name)).contains(name);
    }
}
