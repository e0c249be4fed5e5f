package stillpond.app.sheet;

import java.util.List;
import java.util.stream.Stream;

/** Numbers of regions, strokes and shadows in words. */
public final class Counted {

    private Counted() {}

    /** Such as "4 regions and 1 stroke"; "none" if there is neither. */
    public static String of(long regions, long strokes) {
        return of(regions, strokes, 0);
    }

    /** Such as "4 regions, 1 stroke and 2 shadows"; "none" if there is nothing. */
    public static String of(long regions, long strokes, long shadows) {
        List<String> words = Stream.of(of(regions, "region"), of(strokes, "stroke"), of(shadows, "shadow"))
                .filter(each -> !each.isEmpty())
                .toList();
        if (words.size() < 2) {
            return words.isEmpty() ? "none" : words.get(0);
        }
        int last = words.size() - 1;
        return String.join(", ", words.subList(0, last)) + " and " + words.get(last);
    }

    private static String of(long count, String what) {
        return count == 0 ? "" : count + " " + what + (count == 1 ? "" : "s");
    }
}
