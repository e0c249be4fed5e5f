package stillpond.core.cell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.core.ink.InkPlane;

class CellSplitTest {

    private static final int WIDTH = 160;
    private static final int HEIGHT = 120;

    /** Boxes and specks by chance, and walls that wander across: parts, ink and crumbs go where the obvious way takes them. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void aWallPartsAsTheObviousWayDoes(int seed) {
        Random random = new Random(seed);
        InkPlane ink = boxes(random);
        int[] wall = wandering(random);
        CellMap map = CellMap.of(ink);
        int[] before = map.plane().numbers().clone();
        int[] expected = naive(map, ink, wall);

        CellSplit split = CellSplit.along(map, ink, wall);

        int[] numbers = map.plane().numbers();
        assertThat(numbers).isEqualTo(expected);
        assertThat(split.map().borders()).isEqualTo(BorderCounter.count(map.plane()));
        for (Cell cell : split.map().cells()) {
            assertThat(cell.areaPx()).isEqualTo(count(numbers, cell.number()));
            assertThat(cell.box()).isEqualTo(new Box(0, 0, WIDTH, HEIGHT).shrunkTo(map.plane(), cell.number()));
            assertThat(map.plane().numberAt(cell.deepestX(), cell.deepestY())).isEqualTo(cell.number());
        }
        split.former().forEach(patch -> patch.putInto(map.plane()));
        assertThat(map.plane().numbers()).isEqualTo(before);
    }

    @Test
    void aWallThatEndsInTheOpenPartsNothing() {
        InkPlane ink = boxes(new Random(1));
        CellMap map = CellMap.of(ink);
        int[] before = map.plane().numbers().clone();
        CellSplit split = CellSplit.along(map, ink, new int[] {0, 1, 2});
        assertThat(split.split()).isEmpty();
        assertThat(split.map()).isSameAs(map);
        assertThat(map.plane().numbers()).isEqualTo(before);
    }

    private static int count(int[] numbers, int cell) {
        int count = 0;
        for (int number : numbers) {
            count += number == cell ? 1 : 0;
        }
        return count;
    }

    private static int[] naive(CellMap map, InkPlane ink, int[] wall) {
        int[] numbers = map.plane().numbers().clone();
        BitSet isWall = new BitSet();
        Set<Integer> crossed = new TreeSet<>();
        for (int pixel : wall) {
            if (!ink.isInk(pixel)) {
                crossed.add(numbers[pixel]);
                isWall.set(pixel);
            }
        }
        int next = map.cells().size();
        for (int cell : crossed) {
            next += new NaiveSplit(map, ink, isWall, numbers, cell)
                            .splitFrom(next)
                            .size()
                    - 1;
        }
        return numbers;
    }

    private static InkPlane boxes(Random random) {
        byte[] density = new byte[WIDTH * HEIGHT];
        for (int i = 0; i < 7; i++) {
            int x = random.nextInt(WIDTH - 30);
            int y = random.nextInt(HEIGHT - 30);
            int right = x + 12 + random.nextInt(WIDTH - x - 12);
            int bottom = y + 12 + random.nextInt(HEIGHT - y - 12);
            int stroke = 1 + random.nextInt(6);
            for (int at = 0; at < density.length; at++) {
                int px = at % WIDTH;
                int py = at / WIDTH;
                boolean inside = px >= x && px < right && py >= y && py < bottom;
                boolean within = px >= x + stroke && px < right - stroke && py >= y + stroke && py < bottom - stroke;
                density[at] = inside && !within || random.nextInt(400) == 0 ? (byte) 255 : density[at];
            }
        }
        return new InkPlane(WIDTH, HEIGHT, density, 128);
    }

    /** From the left edge to the right, each pixel sharing an edge with the next. */
    private static int[] wandering(Random random) {
        List<Integer> wall = new ArrayList<>();
        int y = 10 + random.nextInt(HEIGHT - 20);
        for (int x = 0; x < WIDTH; x++) {
            wall.add(y * WIDTH + x);
            if (random.nextInt(3) == 0) {
                y = Math.max(1, Math.min(HEIGHT - 2, y + (random.nextBoolean() ? 1 : -1)));
                wall.add(y * WIDTH + x);
            }
        }
        return wall.stream().mapToInt(Integer::intValue).toArray();
    }
}
