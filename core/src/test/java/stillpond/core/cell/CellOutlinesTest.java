package stillpond.core.cell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CellOutlinesTest {

    @Test
    void aRectangleHasItsFourCorners() {
        int[] numbers = new int[8 * 6];
        for (int y = 1; y < 5; y++) {
            for (int x = 2; x < 7; x++) {
                numbers[y * 8 + x] = 1;
            }
        }
        List<int[]> lines = CellOutlines.of(new CellPlane(8, 6, numbers), cell -> cell == 1);
        assertThat(lines).hasSize(1);
        assertThat(corners(lines.get(0))).containsExactlyInAnyOrder("2,1", "7,1", "7,5", "2,5");
    }

    /** Blobs of noise, with holes, touching at corners and at the edges of the page: inside by the even-odd rule is what is meant, away from steps that were straightened. */
    @Test
    void filledByTheEvenOddRuleTheLinesAreTheCellsAgain() {
        int side = 120;
        int[] numbers = new int[side * side];
        Random random = new Random(7);
        for (int blob = 0; blob < 25; blob++) {
            int x = random.nextInt(side);
            int y = random.nextInt(side);
            int radius = 3 + random.nextInt(18);
            int value = random.nextInt(2);
            for (int i = 0; i < numbers.length; i++) {
                int dx = i % side - x;
                int dy = i / side - y;
                numbers[i] = dx * dx + dy * dy <= radius * radius ? value : numbers[i];
            }
        }
        CellPlane plane = new CellPlane(side, side, numbers);
        List<int[]> lines = CellOutlines.of(plane, cell -> cell == 1);
        int wrong = 0;
        int steps = 0;
        for (int i = 0; i < numbers.length; i++) {
            boolean isIn = isInside(lines, i % side + 0.5, i / side + 0.5);
            wrong += isIn != (numbers[i] == 1) ? 1 : 0;
            steps += i % side > 0 && numbers[i] != numbers[i - 1] ? 1 : 0;
        }
        assertThat(lines).hasSizeGreaterThan(2);
        assertThat(wrong).isLessThan(steps / 2);
    }

    private static boolean isInside(List<int[]> lines, double x, double y) {
        boolean inside = false;
        for (int[] line : lines) {
            for (int i = 0; i < line.length; i += 2) {
                int next = (i + 2) % line.length;
                boolean crosses = line[i + 1] > y != line[next + 1] > y;
                if (crosses) {
                    double at = line[i]
                            + (y - line[i + 1]) * (line[next] - line[i]) / (double) (line[next + 1] - line[i + 1]);
                    inside ^= x < at;
                }
            }
        }
        return inside;
    }

    private static List<String> corners(int[] line) {
        return java.util.stream.IntStream.range(0, line.length / 2)
                .mapToObj(i -> line[2 * i] + "," + line[2 * i + 1])
                .toList();
    }
}
