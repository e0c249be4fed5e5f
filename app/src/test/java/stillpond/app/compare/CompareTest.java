package stillpond.app.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;

/** Boxes in three columns that touch, at x = 500, 1500 and 2500 of 3000. */
class CompareTest {

    private static final byte[] TOUCHING = Drawings.svg("""
            <g fill="none" stroke="#000" stroke-width="6"><rect x="10" y="10" width="580" height="380"/>
            <path d="M200 10V390M400 10V390"/></g>""");

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final String at = "/projects/" + work.project() + "/compare";
    private final Swatch rust = new Swatch(UUID.randomUUID(), "Rust", Srgb.ofHex("#9b4a2f"));
    private Sheet sheet;

    @BeforeEach
    void bring() {
        pond.bean(Palettes.class).add(work.project(), new Card(UUID.randomUUID(), "Bram", "", List.of(rust)));
        sheet = work.bring(TOUCHING);
    }

    @Test
    void aForeignPartIsFoundAmongTheOthersAndReplacedThereAlone() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, rust.id(), 1500, 1000);
        work.lay(sheet, work.scarf().id(), 2500, 1000);
        Sheet other = work.bring(Drawings.threeBoxes());
        work.lay(other, rust.id(), 500, 1000);
        String page = visitor.get(at).body();
        assertThat(page).contains("1 foreign", "of Bram, among these", "data-mark=\"FOREIGN\"");
        Card girl = pond.bean(Palettes.class)
                .of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow();
        visitor.submit(
                at + "/replace",
                "swatch",
                rust.id().toString(),
                "among",
                girl.id().toString(),
                "by",
                work.coat().id().toString());
        assertThat(visitor.get(at).body()).contains("Nothing stands out.");
        BufferedImage there = visitor.picture(work.address(other) + "/small.png");
        assertThat(rgb(there, 500)).isEqualTo(0x9b4a2f);
        assertThat(rgb(visitor.picture(work.address(sheet) + "/small.png"), 1500))
                .isEqualTo(0x2f6f5e);
    }

    @Test
    void filtersLeaveOutSheetsAndParts() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        String nobody = visitor.get(at + "?light=" + UUID.randomUUID()).body();
        assertThat(nobody).contains("No sheet is like that.");
        String bram = visitor.get(at + "?light=plain&card="
                        + pond.bean(Palettes.class)
                                .of(work.project())
                                .cardOf(rust.id())
                                .orElseThrow()
                                .id())
                .body();
        assertThat(bram).contains("Rust").doesNotContain(">Coat</a>");
        assertThat(visitor.get(at + "?only=true").body()).contains("Every part is worn the same");
        assertThat(visitor.get(at + "/sheets?swatch=" + work.coat().id()).body())
                .contains("lit=" + work.coat().id());
    }

    @Test
    void aSheetIsSeenAsItWasBeforeAndAfterFillsAndSwatchesChanged() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, work.scarf().id(), 1500, 1000);
        pond.bean(Palettes.class)
                .change(
                        work.project(),
                        work.account(),
                        List.of(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofHex("#804020"))))));
        List<Made> fills = pond.bean(History.class).about(work.project(), sheet.id(), 10).stream()
                .filter(made -> made.words().startsWith("Filled"))
                .toList();
        String small = work.address(sheet) + "/small.png?at=";
        BufferedImage first = visitor.picture(small + fills.get(1).at());
        assertThat(rgb(first, 500)).isEqualTo(0x2f6f5e);
        assertThat(rgb(first, 1500)).isEqualTo(0xffffff);
        assertThat(rgb(visitor.picture(small + fills.get(0).at()), 1500)).isEqualTo(0xd2603f);
        assertThat(rgb(visitor.picture(work.address(sheet) + "/small.png"), 500))
                .isEqualTo(0x804020);
        assertThat(visitor.get(at + "/moments?sheet=" + sheet.id()).body()).contains("Changed Coat", "Filled 1 cell");
    }

    @Test
    void anyChangeOfOnesOwnIsTakenBackFromTheStory() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, work.scarf().id(), 1500, 1000);
        UUID first = pond.bean(History.class)
                .about(work.project(), sheet.id(), 10)
                .get(1)
                .id();
        String takeBack = at + "/moments/" + first + "/take-back";
        Visitor colourist = Visitor.signedIn(pond, work.colourist());
        assertThat(submitted(colourist, takeBack)).contains("no such change of yours");
        assertThat(submitted(visitor, takeBack)).contains("Taken back: Filled 1 cell.");
        String small = work.address(sheet) + "/small.png";
        assertThat(rgb(visitor.picture(small), 500)).isEqualTo(0xffffff);
        assertThat(rgb(visitor.picture(small), 1500)).isEqualTo(0xd2603f);
        String elsewhere = at + "/moments/" + UUID.randomUUID() + "/take-back";
        assertThat(visitor.submit(elsewhere, "sheet", sheet.id().toString()).statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatCannotBeShownIsRefusedWithTheReason() {
        String small = work.address(sheet) + "/small.png?";
        assertThat(visitor.get(small + "wear=coat").statusCode()).isEqualTo(400);
        assertThat(visitor.get(small + "rule=all+dazzle+%23ffffff+0+0+0+0+0").body())
                .contains("is no blend mode");
        assertThat(visitor.get(small + "light=" + UUID.randomUUID()).body())
                .contains("This light is not there any more.");
        assertThat(visitor.get(small + "at=yesterday").statusCode()).isEqualTo(400);
        assertThat(visitor.get(small + "at=%2B999999999-01-01T00:00:00Z").body())
                .contains("is not what is wanted there");
    }

    private String submitted(Visitor who, String path) {
        who.submit(path, "sheet", sheet.id().toString());
        return who.get(at + "/moments?sheet=" + sheet.id()).body();
    }

    private static int rgb(BufferedImage picture, int x) {
        return picture.getRGB(x * picture.getWidth() / 3000, picture.getHeight() / 2) & 0xffffff;
    }
}
