package stillpond.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class SheetCheckTest {

    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private final Swatch twin = new Swatch(UUID.randomUUID(), "Twin", Srgb.ofHex("#306f5e"));
    private final Swatch tried = new Swatch(UUID.randomUUID(), "Tried", Srgb.ofHex("#a03020"));
    private final Palette palette = new Palette(List.of(
            new Card(UUID.randomUUID(), "Juniper", "", List.of(coat, twin)),
            new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(tried))));

    /** A box with a small box in it, and a wall with a gap that parts the box in two. */
    private final Openings openings = Openings.of(InkFinder.find(drawing()));

    private final Regions regions = Regions.of(openings, Dams.at(0.05));
    private final Map<Integer, Fill> worn = new HashMap<>();

    @Test
    void aSmallEmptyRegionInsideAFillIsAPocketWithItsLikelyFill() {
        lay(coat, 100, 300);
        Finding first = findings().get(0);
        assertThat(first).isInstanceOfSatisfying(Finding.Unfilled.class, pocket -> {
            assertThat(pocket.size()).isEqualTo(Finding.Size.POCKET);
            assertThat(pocket.likely()).contains(coat.id());
            assertThat(pocket.cells()).contains(cell(142, 142));
        });
    }

    @Test
    void aCleanSheetHasNoFindings() {
        for (int cell = 0; cell < openings.cells().cells().size(); cell++) {
            worn.put(cell, Fill.flat(coat.id()));
        }
        assertThat(findings()).isEmpty();
    }

    @Test
    void neighboursWithoutInkBetweenMustDiffer() {
        Opening gap = openings.openings().stream()
                .filter(each -> regions.of(each.first()) != regions.of(each.second()))
                .findFirst()
                .orElseThrow();
        lay(coat, gap.first());
        lay(twin, gap.second());
        assertThat(findings()).hasAtLeastOneElementOfType(Finding.TooNear.class);
        lay(tried, gap.second());
        assertThat(findings()).noneMatch(Finding.TooNear.class::isInstance);
        assertThat(findings())
                .anySatisfy(each -> assertThat(each)
                        .isInstanceOfSatisfying(
                                Finding.OffCard.class,
                                loose -> assertThat(loose.swatch()).isEqualTo(tried.id())));
    }

    @Test
    void aFillThatRanOutThroughAGapNamesTheGapAndThePieceItCameFrom() {
        Openings open = Openings.of(InkFinder.find(boxWithAGap()));
        Regions unDammed = Regions.of(open, Dams.at(1));
        int inside = open.cells().plane().numberAt(300, 250);
        Map<Integer, Fill> laid = new HashMap<>();
        unDammed.with(inside).forEach(cell -> laid.put(cell, Fill.flat(coat.id())));
        List<Finding> found = SheetCheck.of(open, unDammed, Fills.of(laid), palette, List.of());
        assertThat(found).singleElement().isInstanceOfSatisfying(Finding.RunsOut.class, out -> {
            assertThat(out.cells()).contains(inside);
            assertThat(out.openings()).isNotEmpty();
        });
        Regions dammed = Regions.of(open, Dams.at(open.defaultReach()));
        assertThat(SheetCheck.of(open, dammed, Fills.of(laid), palette, List.of()))
                .noneMatch(Finding.RunsOut.class::isInstance);
    }

    @Test
    void aLooseColourNearACardColourWasProbablyMeantForIt() {
        Swatch nearCoat = new Swatch(UUID.randomUUID(), "Picked by eye", Srgb.ofHex("#34735f"));
        Palette with = new Palette(List.of(
                new Card(UUID.randomUUID(), "Juniper", "", List.of(coat)),
                new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(nearCoat, tried))));
        lay(nearCoat, 100, 300);
        lay(tried, 500, 300);
        assertThat(SheetCheck.of(openings, regions, Fills.of(worn), with, List.of()))
                .filteredOn(Finding.OffCard.class::isInstance)
                .extracting(each -> ((Finding.OffCard) each).meant().orElse(null))
                .containsExactlyInAnyOrder(coat.id(), null);
    }

    private List<Finding> findings() {
        return SheetCheck.of(openings, regions, Fills.of(worn), palette, List.of());
    }

    private void lay(Swatch swatch, int x, int y) {
        lay(swatch, cell(x, y));
    }

    private void lay(Swatch swatch, int cellOfRegion) {
        regions.with(cellOfRegion).forEach(cell -> worn.put(cell, Fill.flat(swatch.id())));
    }

    private int cell(int x, int y) {
        return openings.cells().plane().numberAt(x, y);
    }

    private static Picture boxWithAGap() {
        return drawn(pen -> {
            pen.drawLine(100, 100, 500, 100);
            pen.drawLine(100, 100, 100, 400);
            pen.drawLine(500, 100, 500, 400);
            pen.drawLine(100, 400, 300, 400);
            pen.drawLine(322, 400, 500, 400);
        });
    }

    private static Picture drawing() {
        return drawn(pen -> {
            pen.drawRect(40, 40, 600, 400);
            pen.drawRect(130, 130, 24, 24);
            pen.drawLine(340, 40, 340, 225);
            pen.drawLine(340, 245, 340, 440);
        });
    }

    private static Picture drawn(Consumer<Graphics2D> strokes) {
        BufferedImage image = new BufferedImage(700, 500, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 700, 500);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(8));
        strokes.accept(pen);
        pen.dispose();
        return new Picture(700, 500, image.getRGB(0, 0, 700, 500, null, 0, 700));
    }
}
