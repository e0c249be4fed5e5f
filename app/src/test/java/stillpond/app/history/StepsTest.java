package stillpond.app.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.HandDams;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.Replacing;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.cell.Box;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.gap.Point;
import stillpond.core.palette.Light;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Wardrobe;

/** Every kind of change is taken back and done again, in any order. */
class StepsTest {

    private final TestPond pond = TestPond.shared();
    private final Steps steps = pond.bean(Steps.class);
    private final Sheets sheets = pond.bean(Sheets.class);
    private Work work;
    private Sheet sheet;
    private Sheet other;
    private UUID card;

    @BeforeEach
    void bringInTwoSheets() {
        work = Work.begin(pond);
        sheet = work.bring(Drawings.threeBoxes());
        other = work.bring(Drawings.threeBoxesLower());
        card = pond.bean(Palettes.class)
                .of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow()
                .id();
    }

    /** What can be seen of each kind of change, once it is made by running it. */
    private Map<Runnable, Supplier<Object>> kinds() {
        Map<Runnable, Supplier<Object>> kinds = new LinkedHashMap<>();
        UUID light = UUID.randomUUID();
        UUID wardrobe = UUID.randomUUID();
        Fill scarf = Fill.flat(work.scarf().id());
        kinds.put(() -> lay(scarf, 1), () -> worn(sheet, 1));
        kinds.put(
                () -> pond.bean(Replacing.class)
                        .replace(
                                work.project(),
                                List.of(sheet, other),
                                work.account(),
                                Set.of(work.coat().id()),
                                work.scarf().id()),
                () -> List.of(worn(sheet, 2), worn(other, 2)));
        kinds.put(
                () -> pond.bean(LayerGroups.class)
                        .change(
                                sheet,
                                work.account(),
                                "Made a group",
                                groups -> groups.making(UUID.randomUUID(), "Coats", List.of(1, 2))),
                () -> pond.bean(LayerGroups.class).of(present().layer().id()));
        kinds.put(
                () -> pond.bean(PageFrames.class).set(sheet, work.account(), new Box(1, 2, 30, 40)),
                () -> pond.bean(PageFrames.class).of(sheet.id()));
        kinds.put(
                () -> pond.bean(SheetCast.class).say(work.project(), work.account(), sheet.id(), List.of(card)),
                () -> pond.bean(SheetCast.class).said(sheet.id()));
        kinds.put(
                () -> pond.bean(Palettes.class)
                        .change(
                                work.project(),
                                work.account(),
                                List.of(new PaletteEdit.Change(
                                        work.coat().painted(new Paint.Process(Srgb.ofHex("#804020")))))),
                () -> pond.bean(Palettes.class)
                        .of(work.project())
                        .colourOf(work.coat().id()));
        kinds.put(
                () -> pond.bean(Stagings.class)
                        .change(
                                work.project(),
                                work.account(),
                                "Made a light",
                                staging -> staging.with(light, Light.named("Dusk"))),
                () -> pond.bean(Stagings.class).of(work.project()).light(light));
        kinds.put(
                () -> pond.bean(Stagings.class)
                        .change(
                                work.project(),
                                work.account(),
                                "Gave a wardrobe",
                                staging -> staging.with(new Wardrobe(wardrobe, card, "Oilskins", Map.of()))),
                () -> pond.bean(Stagings.class).of(work.project()).wardrobe(wardrobe));
        return kinds;
    }

    @Test
    void everyKindIsTakenBackAndDoneAgainInAnyOrder() {
        lay(Fill.flat(work.coat().id()), 2);
        pond.bean(SheetChanges.class)
                .make(
                        other.id(),
                        work.account(),
                        new ChangeRequest.Lay(
                                UUID.randomUUID(),
                                other.layer().id(),
                                Fill.flat(work.coat().id()),
                                List.of(2)));
        List<Supplier<Object>> seen = new ArrayList<>();
        List<Object> before = new ArrayList<>();
        List<Object> after = new ArrayList<>();
        List<UUID> changes = new ArrayList<>();
        kinds().forEach((make, state) -> {
            seen.add(state);
            before.add(state.get());
            make.run();
            after.add(state.get());
            assertThat(after).last().isNotEqualTo(before.get(before.size() - 1));
            changes.add(latest());
        });
        assertThat(changes).doesNotHaveDuplicates();
        List<Integer> order = new ArrayList<>(List.of(0, 1, 2, 3, 4, 5, 6, 7));
        Collections.shuffle(order, new Random(15));
        for (int each : order) {
            steps.undo(work.project(), work.account(), changes.get(each));
            assertThat(seen.get(each).get()).isEqualTo(before.get(each));
        }
        Collections.shuffle(order, new Random(16));
        for (int each : order) {
            redo(changes.get(each));
            assertThat(seen.get(each).get()).isEqualTo(after.get(each));
        }
    }

    @Test
    void aDamByHandIsTakenBackUnlessSomebodyDrewAnotherSince() {
        UUID before = present().layer().id();
        draw(work.account(), 400);
        UUID mine = latest();
        draw(work.account(), 600);
        UUID second = latest();
        assertThatThrownBy(() -> steps.undo(work.project(), work.account(), mine))
                .hasMessageContaining("stays as it is");
        steps.undo(work.project(), work.account(), second);
        steps.undo(work.project(), work.account(), mine);
        assertThat(present().layer().id()).isEqualTo(before);
        redo(mine);
        assertThat(present().layer().cellCount()).isGreaterThan(sheet.layer().cellCount());
    }

    @Test
    void aRemovedGroupComesBackThoughTheSheetWasCutAnewSince() {
        LayerGroups groups = pond.bean(LayerGroups.class);
        UUID coats = UUID.randomUUID();
        groups.change(sheet, work.account(), "Made", all -> all.making(coats, "Coats", List.of(1)));
        groups.change(sheet, work.account(), "Took apart", all -> all.without(coats));
        UUID removal = latest();
        draw(work.account(), 500);
        steps.undo(work.project(), work.account(), removal);
        assertThat(groups.of(present().layer().id()).groups())
                .singleElement()
                .satisfies(group -> assertThat(group.name()).isEqualTo("Coats"));
    }

    @Test
    void nobodyTakesBackAcrossProjectsOrWhatIsNotTheirs() {
        lay(Fill.flat(work.coat().id()), 1);
        UUID mine = latest();
        Work elsewhere = Work.begin(pond);
        assertThatThrownBy(() -> steps.undo(elsewhere.project(), work.account(), mine))
                .isInstanceOf(NoSuchElementException.class);
        UUID colourist = pond.openAccount("c" + UUID.randomUUID());
        pond.bean(Projects.class).addMember(work.project(), colourist, Role.COLOURIST);
        assertThatThrownBy(() -> steps.undo(work.project(), colourist, mine)).hasMessageContaining("no such change");
        assertThat(worn(sheet, 1)).isEqualTo(Fill.flat(work.coat().id()));
    }

    /** Whoever goes back step by step comes to what is before it. */
    @Test
    void whatALockHoldsNowIsLeftAloneAndPassed() {
        Palettes palettes = pond.bean(Palettes.class);
        UUID colourist = pond.openAccount("c" + UUID.randomUUID());
        pond.bean(Projects.class).addMember(work.project(), colourist, Role.COLOURIST);
        palettes.change(
                work.project(),
                colourist,
                List.of(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofHex("#804020"))))));
        palettes.change(work.project(), work.account(), List.of(new PaletteEdit.LockCard(card, true)));
        UUID change = work.line(sheet.id(), colourist).undoable().get(0).id();
        assertThatThrownBy(() -> steps.undo(work.project(), colourist, change)).hasMessageContaining("stays as it is");
        ChangeOutcome outcome = pond.bean(SheetChanges.class)
                .make(sheet.id(), colourist, new ChangeRequest.Undo(UUID.randomUUID(), change));
        assertThat(outcome)
                .isInstanceOfSatisfying(
                        ChangeOutcome.Made.class,
                        made -> assertThat(made.leftAlone()).isPresent());
        assertThat(work.line(sheet.id(), colourist).undoable()).isEmpty();
        assertThat(palettes.of(work.project()).colourOf(work.coat().id())).contains(Srgb.ofHex("#804020"));
    }

    private void redo(UUID change) {
        pond.bean(SheetChanges.class)
                .make(sheet.id(), work.account(), new ChangeRequest.Redo(UUID.randomUUID(), change));
    }

    private UUID latest() {
        return work.line(sheet.id(), work.account()).undoable().get(0).id();
    }

    private Sheet present() {
        return sheets.get(work.project(), sheet.id());
    }

    private Fill worn(Sheet on, int cell) {
        return sheets.fills(sheets.get(work.project(), on.id()).layer()).of(cell);
    }

    private void lay(Fill fill, int cell) {
        pond.bean(SheetChanges.class)
                .make(
                        sheet.id(),
                        work.account(),
                        new ChangeRequest.Lay(
                                UUID.randomUUID(), present().layer().id(), fill, List.of(cell)));
    }

    /** From top to bottom through the first box. */
    private void draw(UUID author, int x) {
        pond.bean(HandDams.class)
                .draw(
                        pond.bean(Sheets.class).get(work.project(), sheet.id()),
                        author,
                        List.of(new Point(x, 490), new Point(x, 1510)),
                        cut -> {});
    }
}
