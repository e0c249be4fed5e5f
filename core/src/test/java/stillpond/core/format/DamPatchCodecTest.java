package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Border;
import stillpond.core.cell.Cell;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

/** Read as a desk reads it: what it has from before, with the patch, is what the server has. */
class DamPatchCodecTest {

    private static final int WIDTH = 300;
    private static final int HEIGHT = 200;

    private final InkPlane ink = boxWithGap();
    private final Openings openings = Openings.of(ink);
    private final List<Opening> before = List.copyOf(openings.openings());
    private final List<Cell> cells = new ArrayList<>(openings.cells().cells());
    private final List<Border> borders = openings.cells().borders();
    private final int[] numbers = openings.cells().plane().numbers().clone();

    @Test
    void whatWasThereWithThePatchIsWhatIsThereNow() throws IOException {
        HandDam.Parted parted =
                (HandDam.Parted) HandDam.draw(openings, ink, List.of(new Point(150, 45), new Point(152, 155)));
        NumberReader in = reader(DamPatchCodec.encode(before, parted));

        assertThat(in.number()).isEqualTo(parted.former().size());
        readBox(in);
        assertThat(numbers).isEqualTo(parted.openings().cells().plane().numbers());
        Set<Integer> changed = readCells(in);
        assertThat(cells).isEqualTo(parted.openings().cells().cells());
        assertThat(readBorders(in, changed)).isEqualTo(parted.openings().cells().borders());
        assertThat(lines(readOpenings(in))).isEqualTo(lines(parted.openings().openings()));
        assertThat(in.number()).isEqualTo(parted.dam().size());
        assertThat(parted.dam()).contains(in.number());
    }

    private void readBox(NumberReader in) throws IOException {
        int left = in.number();
        int top = in.number();
        int width = in.number();
        int height = in.number();
        assertThat(width * height).as("not the whole page").isLessThan(WIDTH * HEIGHT / 2);
        int run = 0;
        int cell = 0;
        for (int y = top; y < top + height; y++) {
            for (int x = left; x < left + width; x++) {
                if (run == 0) {
                    run = in.number();
                    cell = in.number();
                }
                numbers[y * WIDTH + x] = cell;
                run--;
            }
        }
    }

    private Set<Integer> readCells(NumberReader in) throws IOException {
        assertThat(in.number()).as("cells that were split").isEqualTo(1);
        in.number();
        Set<Integer> changed = new TreeSet<>();
        for (int parts = in.number(); parts > 0; parts--) {
            int number = in.number();
            Cell cell = PlaneCodec.readCell(number, in);
            changed.add(number);
            if (number < cells.size()) {
                cells.set(number, cell);
            } else {
                cells.add(cell);
            }
        }
        return changed;
    }

    private List<Border> readBorders(NumberReader in, Set<Integer> changed) throws IOException {
        List<Border> now = borders.stream()
                .filter(border -> !changed.contains(border.first()) && !changed.contains(border.second()))
                .collect(Collectors.toCollection(ArrayList::new));
        for (int count = in.number(); count > 0; count--) {
            now.add(new Border(in.number(), in.number(), in.number()));
        }
        now.sort((a, b) -> a.first() != b.first() ? a.first() - b.first() : a.second() - b.second());
        return now;
    }

    private List<Opening> readOpenings(NumberReader in) throws IOException {
        List<Opening> now = new ArrayList<>(before);
        for (int count = in.number(); count > 0; count--) {
            int index = in.number();
            Opening opening = OpeningsCodec.read(in);
            if (index < now.size()) {
                now.set(index, opening);
            } else {
                now.add(opening);
            }
        }
        return now;
    }

    /** What parts what; lengths are rounded in the stored form. */
    private static List<String> lines(List<Opening> openings) {
        return openings.stream()
                .map(each -> each.first() + "-" + each.second() + " " + each.kind())
                .toList();
    }

    private static NumberReader reader(byte[] bytes) {
        return new NumberReader(new ByteArrayInputStream(bytes), 64);
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
