package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.gap.DamPatch;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Opening;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

/** Read as a desk reads it: what it has from before, with the patch, is what the server has. */
class DamPatchCodecTest {

    private static final int WIDTH = 300;
    private static final int HEIGHT = 200;

    private final InkPlane ink = boxWithGap();
    private final Openings openings = Openings.of(ink);
    private final OpeningList before = new OpeningList(openings.openings(), openings.strokePx());
    private final CellGraph cells = openings.cells().graph();

    @Test
    void whatWasThereWithThePatchIsWhatIsThereNow() {
        CellPlane plane =
                new CellPlane(WIDTH, HEIGHT, openings.cells().plane().numbers().clone());
        HandDam.Parted parted =
                (HandDam.Parted) HandDam.draw(openings, ink, List.of(new Point(150, 45), new Point(152, 155)));
        CellMap now = parted.openings().cells();
        DamPatch patch = DamPatchCodec.decode(DamPatchCodec.encode(before.all(), parted));

        assertThat(patch.boxes())
                .as("not the whole page")
                .allSatisfy(each -> assertThat(each.numbers()).hasSizeLessThan(WIDTH * HEIGHT / 2));
        patch.boxes().forEach(each -> each.putInto(plane));
        assertThat(plane.numbers()).isEqualTo(now.plane().numbers());
        assertThat(patch.split()).isEqualTo(parted.split()).hasSize(1);
        assertThat(patch.after(cells).cells()).isEqualTo(now.cells());
        assertThat(patch.after(cells).borders()).isEqualTo(now.borders());
        assertThat(lines(patch.after(before).all()))
                .isEqualTo(lines(parted.openings().openings()));
        assertThat(patch.dam()).isEqualTo(parted.dam());
    }

    /** What parts what; lengths are rounded in the stored form. */
    private static List<String> lines(List<Opening> openings) {
        return openings.stream()
                .map(each -> each.first() + "-" + each.second() + " " + each.kind())
                .toList();
    }

    /** With a gap in its upper side, left of where the dam is drawn. */
    private static InkPlane boxWithGap() {
        byte[] density = new byte[WIDTH * HEIGHT];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                boolean within = x >= 100 && x < 230 && y >= 40 && y < 160;
                boolean inside = x >= 104 && x < 226 && y >= 44 && y < 156;
                boolean gap = y < 60 && x >= 118 && x < 124;
                density[y * WIDTH + x] = within && !inside && !gap ? (byte) 255 : 0;
            }
        }
        return new InkPlane(WIDTH, HEIGHT, density, 128);
    }
}
