package stillpond.core.stroke;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;
import stillpond.core.gap.MiddleLines;

/** Picks lines where there are too many to tell apart. */
final class LongestLines {

    private LongestLines() {}

    /** The line of each pixel, without those lines that are shorter than so many others; of equally long ones the first stay. Those that stay are numbered anew in their order. */
    static int[] of(MiddleLines lines, int most) {
        if (lines.count() <= most) {
            return lines.lines();
        }
        int[] lengths = new int[lines.count()];
        for (int line : lines.lines()) {
            if (line >= 0) {
                lengths[line]++;
            }
        }
        int[] kept = IntStream.range(0, lines.count())
                .boxed()
                .sorted(Comparator.comparingInt(line -> -lengths[line]))
                .limit(most)
                .mapToInt(Integer::intValue)
                .sorted()
                .toArray();
        int[] numbers = new int[lines.count()];
        Arrays.fill(numbers, MiddleLines.NONE);
        for (int number = 0; number < kept.length; number++) {
            numbers[kept[number]] = number;
        }
        return Arrays.stream(lines.lines())
                .map(line -> line < 0 ? line : numbers[line])
                .toArray();
    }
}
