package stillpond.app.sheet;

import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Numbers of regions and strokes in words. */
public final class Counted {

    private Counted() {}

    /** Such as "4 regions and 1 stroke"; "none" if there is neither. */
    public static String of(long regions, long strokes) {
        String words = Stream.of(of(regions, "region"), of(strokes, "stroke"))
                .filter(each -> !each.isEmpty())
                .collect(Collectors.joining(" and "));
        return words.isEmpty() ? "none" : words;
    }

    private static String of(long count, String what) {
        return count == 0 ? "" : count + " " + what + (count == 1 ? "" : "s");
    }
}
