package stillpond.core.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ReversalTest {

    @Test
    void whatWasChangedAddedAndRemovedGoesBack() {
        Reversal<String, String> back = Reversal.of(
                Map.of("changed", "b", "added", "c"),
                Map.of("changed", "a", "removed", "d"),
                Map.of("changed", "b", "added", "c"));
        assertThat(back.entries()).isEqualTo(Map.of("changed", "a", "removed", "d"));
        assertThat(back.leftAlone()).isEmpty();
    }

    @Test
    void whatIsNotAsTheChangeLeftItStays() {
        Reversal<String, String> back = Reversal.of(
                Map.of("changed", "x", "removed", "y", "untouched", "z"),
                Map.of("changed", "a", "removed", "d"),
                Map.of("changed", "b", "added", "c"));
        assertThat(back.entries()).isEqualTo(Map.of("changed", "x", "removed", "y", "untouched", "z"));
        assertThat(back.leftAlone()).isEqualTo(Set.of("changed", "removed", "added"));
    }

    @Test
    void whatTheChangeNamesButDidNotChangeIsNoneOfItsBusiness() {
        Reversal<String, String> back = Reversal.of(Map.of("same", "x"), Map.of("same", "a"), Map.of("same", "a"));
        assertThat(back.entries()).isEqualTo(Map.of("same", "x"));
        assertThat(back.leftAlone()).isEmpty();
    }
}
