package stillpond.app.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.history.Steps;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.WornSwatches;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.exchange.UnreadableCards;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

class CardEditsTest {

    private final TestPond pond = TestPond.shared();
    private final CardEdits edits = pond.bean(CardEdits.class);
    private final Steps steps = pond.bean(Steps.class);
    private final Palettes palettes = pond.bean(Palettes.class);
    private final Sheets sheets = pond.bean(Sheets.class);
    private Work work;
    private Sheet sheet;
    private UUID card;

    @BeforeEach
    void fillABox() {
        work = Work.begin(pond);
        sheet = work.bring(Drawings.threeBoxes());
        card = palette().cardOf(work.coat().id()).orElseThrow().id();
        lay(work.coat().id(), 1);
        lay(work.scarf().id(), 2);
    }

    @Test
    void whatWoreARemovedSwatchWearsAnotherAndUndoPutsItBack() {
        make(work.account(), List.of(remove(work.coat().id(), work.scarf().id().toString())));
        assertThat(worn(1)).isEqualTo(Fill.flat(work.scarf().id()));
        assertThat(palette().has(work.coat().id())).isFalse();
        lay(work.scarf().id(), 3);
        steps.undoNext(work.project(), work.account());
        assertThat(worn(1)).isEqualTo(Fill.flat(work.coat().id()));
        assertThat(worn(2)).isEqualTo(Fill.flat(work.scarf().id()));
        assertThat(worn(3)).isEqualTo(Fill.flat(work.scarf().id()));
        assertThat(palette().card(card).orElseThrow().swatches()).hasSize(2);
    }

    @Test
    void aGradientGoesOnWithWhatTookTheSwatchsPlaceAndGetsItBack() {
        String coat = work.coat().id().toString();
        String scarf = work.scarf().id().toString();
        String gradient = "linear 100% 0 0 90 0 0% " + coat + " 100% " + scarf;
        layText(gradient, 1);
        layText("flat 50% " + coat, 2);
        assertThat(pond.bean(WornSwatches.class).where(List.of(work.coat().id())))
                .extracting(WornSwatches.Worn::regions)
                .containsExactly(2L);
        make(work.account(), List.of(remove(work.coat().id(), scarf)));
        assertThat(worn(1).text()).isEqualTo(gradient.replace(coat, scarf));
        assertThat(worn(2).text()).isEqualTo("flat 50% " + scarf);
        steps.undoNext(work.project(), work.account());
        assertThat(worn(1).text()).isEqualTo(gradient);
        assertThat(worn(2).text()).isEqualTo("flat 50% " + coat);
    }

    @Test
    void undoingAFillOfARemovedSwatchLaysWhatTookItsPlace() {
        UUID relaid = lay(work.scarf().id(), 1);
        make(work.account(), List.of(remove(work.coat().id(), work.scarf().id().toString())));
        lay(work.scarf().id(), 3);
        UUID grey = palette().cards().get(0).swatches().get(1).id();
        lay(grey, 2);
        pond.bean(SheetChanges.class)
                .make(sheet.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), relaid));
        assertThat(worn(1)).isEqualTo(Fill.flat(work.scarf().id()));
        steps.undoNext(work.project(), work.account());
        assertThat(palette().has(work.coat().id())).isTrue();
    }

    @Test
    void aRemovalIsOneStepHoweverManySheetsItIsAboutAndIsDoneAgainWhole() {
        Sheet other = work.bring(Drawings.threeBoxesLower());
        UUID there = other.layer().id();
        SheetChanges changes = pond.bean(SheetChanges.class);
        Fill coat = Fill.flat(work.coat().id());
        Fill scarf = Fill.flat(work.scarf().id());
        changes.make(other.id(), work.account(), new ChangeRequest.Lay(UUID.randomUUID(), there, coat, List.of(1, 2)));
        make(work.account(), List.of(remove(work.coat().id(), work.scarf().id().toString())));
        UUID removal = work.line(other.id(), work.account()).undoable().get(0).id();
        assertThat(work.line(sheet.id(), work.account()).undoable().get(0).id()).isEqualTo(removal);
        changes.make(sheet.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), removal));
        assertThat(worn(1)).isEqualTo(coat);
        assertThat(sheets.fills(other.layer()).of(2)).isEqualTo(coat);
        changes.make(sheet.id(), work.account(), new ChangeRequest.Redo(UUID.randomUUID(), removal));
        assertThat(palette().has(work.coat().id())).isFalse();
        assertThat(worn(1)).isEqualTo(scarf);
        assertThat(sheets.fills(other.layer()).of(2)).isEqualTo(scarf);
    }

    @Test
    void theOutlookNamesWhatFollowsAndWhereItIsWorn() {
        UUID lining = UUID.randomUUID();
        make(
                work.account(),
                List.of(add(lining, "Lining", "#1f5046", work.coat().id())));
        lay(lining, 3);
        CardEdits.Outlook outlook =
                edits.outlook(work.project(), List.of(change(work.coat().id(), "#804020")));
        assertThat(outlook.colours()).containsOnlyKeys(work.coat().id(), lining);
        assertThat(outlook.sheets())
                .singleElement()
                .satisfies(worn -> assertThat(worn.regions()).isEqualTo(2));
        assertThat(palette().colourOf(work.coat().id())).contains(colour("#2f6f5e"));
    }

    @Test
    void aLockedCardIsForTheLead() {
        UUID colourist = pond.openAccount("c" + UUID.randomUUID());
        pond.bean(Projects.class).addMember(work.project(), colourist, Role.COLOURIST);
        make(work.account(), List.of(lock(true)));
        assertThatThrownBy(() -> make(colourist, List.of(change(work.coat().id(), "#804020"))))
                .hasMessageContaining("Only the lead");
        assertThatThrownBy(() -> make(colourist, List.of(lock(false)))).hasMessageContaining("Only the lead");
        make(work.account(), List.of(change(work.coat().id(), "#804020")));
        assertThat(palette().colourOf(work.coat().id())).contains(colour("#804020"));
    }

    @Test
    void undoIsRefusedWhenTheCardWasChangedSince() {
        UUID colourist = pond.openAccount("c" + UUID.randomUUID());
        pond.bean(Projects.class).addMember(work.project(), colourist, Role.COLOURIST);
        make(colourist, List.of(change(work.coat().id(), "#804020")));
        make(work.account(), List.of(change(work.coat().id(), "#204080")));
        assertThatThrownBy(() -> steps.undoNext(work.project(), colourist))
                .hasMessageContaining("has changed this since");
        steps.undoNext(work.project(), work.account());
        steps.undoNext(work.project(), colourist);
        assertThat(palette().colourOf(work.coat().id())).contains(colour("#2f6f5e"));
        assertThatThrownBy(() -> steps.undoNext(work.project(), colourist)).hasMessageContaining("no change of yours");
    }

    @Test
    void looseColoursLieOnACardOfTheirOwnUntilTheyArePutOnOne() {
        UUID loose = UUID.randomUUID();
        make(work.account(), List.of(new EditMessage.Add(null, loose, "Try", null, null, null, "#775533", null, null)));
        assertThat(palette().cardOf(loose))
                .hasValueSatisfying(each -> assertThat(each.isLoose()).isTrue());
        lay(loose, 1);
        make(work.account(), List.of(new EditMessage.Move(loose, card, null)));
        assertThat(palette().cardOf(loose).map(Card::id)).contains(card);
        assertThat(worn(1)).isEqualTo(Fill.flat(loose));
    }

    @Test
    void aFileThatCannotBeReadChangesNothing() {
        Exchange exchange = pond.bean(Exchange.class);
        byte[] broken = "{\"Hut\": {".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> exchange.take(work.project(), work.account(), "cards.json", broken))
                .isInstanceOf(UnreadableCards.class);
        assertThatThrownBy(() -> exchange.plan(work.project(), "cards.doc", broken))
                .hasMessageContaining("design tokens");
        byte[] taken = "name,colour,card\nRope,#b8a58a,Juniper\n".getBytes(StandardCharsets.UTF_8);
        Exchange.Plan plan = exchange.plan(work.project(), "table.csv", taken);
        assertThat(plan.cards()).singleElement().satisfies(planned -> {
            assertThat(planned.name()).isEqualTo("Juniper 2");
            assertThat(planned.was()).isEqualTo("Juniper");
        });
        assertThat(palette().cards()).extracting(Card::name).doesNotContain("Juniper 2");
    }

    private void make(UUID author, List<EditMessage> messages) {
        edits.make(work.project(), author, messages, "");
    }

    private Palette palette() {
        return palettes.of(work.project());
    }

    private static Srgb colour(String hex) {
        return Srgb.ofHex(hex);
    }

    private EditMessage change(UUID swatch, String colour) {
        return new EditMessage.Change(swatch, null, null, null, null, colour);
    }

    private EditMessage add(UUID swatch, String name, String colour, UUID follows) {
        return new EditMessage.Add(card, swatch, name, null, null, null, colour, follows, null);
    }

    private EditMessage remove(UUID swatch, String instead) {
        return new EditMessage.Remove(swatch, instead);
    }

    private EditMessage lock(boolean locked) {
        return new EditMessage.LockCard(card, locked);
    }

    private Layer layer() {
        return sheets.get(work.project(), sheet.id()).layer();
    }

    private UUID lay(UUID swatch, int cell) {
        return layText(swatch.toString(), cell);
    }

    private UUID layText(String fill, int cell) {
        ChangeOutcome outcome = pond.bean(SheetChanges.class)
                .make(
                        sheet.id(),
                        work.account(),
                        new ChangeRequest.Lay(UUID.randomUUID(), layer().id(), Fill.ofText(fill), List.of(cell)));
        assertThat(outcome).isInstanceOf(ChangeOutcome.Made.class);
        return ((ChangeOutcome.Made) outcome).change().id();
    }

    private Fill worn(int cell) {
        return sheets.fills(layer()).of(cell);
    }
}
