package stillpond.browser;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Whole numbers as a page has them. */
final class Numbers {

    private Numbers() {}

    static int[] of(Collection<Integer> numbers) {
        return numbers.stream().mapToInt(number -> number).toArray();
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
