package stillpond.bench.flats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;

/** On the demo's drawings, a third of whose regions are only nearly closed, no region at the default reach runs into something else: so one click fills each, without a setting. */
class DemoRegionsTest {

    private static final Path ART = Path.of("../art");
    private static final Path DEMO = Path.of("../art/demo");

    /** Drawn outlines run a little beside the shapes that they are drawn around. */
    private static final double MOST_OTHER = 0.25;

    private static final int MOST_OTHER_PX = 400;
    private static final int NEAR_PX = 10;

    @ParameterizedTest
    @ValueSource(strings = {"morningPost", "crossing", "farewell", "willNotBudge", "upTheHill"})
    void noRegionRunsIntoSomethingElse(String drawing) throws IOException {
        InkPlane ink = ink(drawing);
        Openings openings = Openings.of(ink);
        Regions regions = Regions.of(openings, Dams.at(openings.defaultReach()));
        List<String> mixed = new ArrayList<>();
        DemoTruth.read(ART.resolve("truth/" + drawing + ".png"))
                .byRegion(openings.cells().plane(), ink, regions)
                .forEach((region, label) -> {
                    if (label.otherPx() > MOST_OTHER * label.paperPx() && label.otherPx() > MOST_OTHER_PX) {
                        mixed.add(region + ": " + label);
                    }
                });
        assertThat(regions.count()).isGreaterThan(100);
        assertThat(mixed).isEmpty();
    }

    /** One that is drawn longer than it parts looks like a dam that nobody would want. */
    @Test
    void anOpeningIsDrawnWhereItsCellsMeet() throws IOException {
        Openings openings = Openings.of(ink("farewell"));
        CellPlane plane = openings.cells().plane();
        assertThat(openings.openings())
                .hasSizeGreaterThan(100)
                .allSatisfy(opening -> assertThat(opening.line())
                        .allMatch(at -> isNear(at, opening.first(), plane) && isNear(at, opening.second(), plane)));
    }

    private static boolean isNear(Point at, int cell, CellPlane plane) {
        for (int y = (int) at.y() - NEAR_PX; y <= at.y() + NEAR_PX; y++) {
            for (int x = (int) at.x() - NEAR_PX; x <= at.x() + NEAR_PX; x++) {
                boolean isInside = x >= 0 && y >= 0 && x < plane.widthPx() && y < plane.heightPx();
                if (isInside && plane.numberAt(x, y) == cell) {
                    return true;
                }
            }
        }
        return false;
    }

    private static InkPlane ink(String drawing) throws IOException {
        return InkFinder.find(
                new LineArtReader(ImageLimits.DEFAULT).read(Files.readAllBytes(DEMO.resolve(drawing + ".svg"))));
    }
}
