package stillpond.browser;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import stillpond.core.gap.Point;

/** Numbers as a page has them. */
final class Numbers {

    private Numbers() {}

    static int[] of(Collection<Integer> numbers) {
        return numbers.stream().mapToInt(number -> number).toArray();
    }

    /** x and y of points, one after the other. */
    static double[] way(List<Point> points) {
        double[] way = new double[2 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            way[2 * i] = points.get(i).x();
            way[2 * i + 1] = points.get(i).y();
        }
        return way;
    }

    static Set<Integer> setOf(int[] numbers) {
        Set<Integer> set = new TreeSet<>();
        for (int number : numbers) {
            set.add(number);
        }
        return set;
    }

    static List<Integer> listOf(int[] numbers) {
        return Arrays.stream(numbers).boxed().toList();
    }
}
