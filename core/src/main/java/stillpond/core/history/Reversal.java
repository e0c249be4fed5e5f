package stillpond.core.history;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Entries after a change of some of them was taken back. What somebody has changed since is left alone: an entry goes back only if it still is what the
 * change made of it.
 *
 * @param entries all of them, in their order; those that come back stand last
 * @param leftAlone the keys of those that the change had changed and that stay
 */
public record Reversal<K, V>(Map<K, V> entries, Set<K> leftAlone) {

    /**
     * @param now all entries
     * @param before those that the change changed, as they were; one that it added is not among them
     * @param after the same, as the change left them; one that it removed is not among them
     */
    public static <K, V> Reversal<K, V> of(Map<K, V> now, Map<K, V> before, Map<K, V> after) {
        Map<K, V> entries = new LinkedHashMap<>(now);
        Set<K> leftAlone = new HashSet<>();
        Set<K> changed = new HashSet<>(before.keySet());
        changed.addAll(after.keySet());
        for (K key : changed) {
            V was = before.get(key);
            if (Objects.equals(was, after.get(key))) {
                continue;
            }
            if (!Objects.equals(now.get(key), after.get(key))) {
                leftAlone.add(key);
            } else if (was == null) {
                entries.remove(key);
            } else {
                entries.put(key, was);
            }
        }
        return new Reversal<>(entries, leftAlone);
    }
}
