package stillpond.app.carry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Numbers for fills. */
final class FillLabels {

    private final List<String> fills = new ArrayList<>();
    private final Map<String, Integer> numbers = new HashMap<>();

    int of(String fill) {
        return numbers.computeIfAbsent(fill, text -> {
            fills.add(text);
            return fills.size() - 1;
        });
    }

    String fill(int label) {
        return fills.get(label);
    }
}
