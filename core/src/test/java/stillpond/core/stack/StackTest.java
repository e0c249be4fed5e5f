package stillpond.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.refusal.Refusal;

class StackTest {

    private final Standing fence = Standing.of(UUID.randomUUID(), "Fence");
    private final Standing figure = Standing.of(UUID.randomUUID(), "Figure");
    private final Standing hills = Standing.of(UUID.randomUUID(), "Hills");
    private final Stack three = new Stack(List.of(fence, figure, hills));

    @Test
    void layersAreMovedTowardsTheBackAndTheFrontAsFarAsThereAreOthers() {
        assertThat(names(three.moving(fence.layer(), 1))).containsExactly("Figure", "Fence", "Hills");
        assertThat(names(three.moving(hills.layer(), -5))).containsExactly("Hills", "Fence", "Figure");
        assertThat(names(three.moving(hills.layer(), Integer.MAX_VALUE))).containsExactly("Fence", "Figure", "Hills");
    }

    @Test
    void theLastLayerStaysAndThereAreNotEndlesslyMany() {
        Stack one = three.without(fence.layer()).without(hills.layer());
        assertThatThrownBy(() -> one.without(figure.layer()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("only layer");
        List<Standing> many = Collections.nCopies(60, "Layer").stream()
                .map(name -> Standing.of(UUID.randomUUID(), name))
                .toList();
        assertThatThrownBy(() -> new Stack(many))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("up to 24 layers, not 60");
        assertThatThrownBy(() -> new Stack(List.of(fence, fence))).isInstanceOf(Refusal.class);
    }

    @Test
    void whatALayerMayBeHasBounds() {
        assertThatThrownBy(() -> fence.opaque(0)).isInstanceOf(Refusal.class).hasMessageContaining("hide it");
        assertThatThrownBy(() -> fence.named("  ")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> fence.moved(Standing.FARTHEST_PX, 0).moved(1, 0))
                .isInstanceOf(Refusal.class);
        assertThat(Standing.of(UUID.randomUUID(), "x".repeat(500)).name()).hasSize(Standing.LONGEST_NAME);
        assertThat(Standing.of(UUID.randomUUID(), " ").name()).isEqualTo("Layer");
    }

    @Test
    void aChangeIsTakenBackThoughOthersWereMadeSince() {
        Stack hidden = three.changing(figure.layer(), each -> each.hidden(true));
        Stack since = hidden.changing(fence.layer(), each -> each.opaque(40));
        Stack.TakenBack back = since.takingBack(three, hidden);
        assertThat(back.leftAlone()).isZero();
        assertThat(back.stack()).isEqualTo(three.changing(fence.layer(), each -> each.opaque(40)));
    }

    @Test
    void whatWasChangedSinceIsLeftAlone() {
        Stack hidden = three.changing(figure.layer(), each -> each.hidden(true));
        Stack since = hidden.changing(figure.layer(), each -> each.named("Juniper"));
        Stack.TakenBack back = since.takingBack(three, hidden);
        assertThat(back.leftAlone()).isOne();
        assertThat(back.stack()).isEqualTo(since);
    }

    @Test
    void addedLayersGoTakenOutOnesComeBackToTheirPlacesAndSoDoesTheOrder() {
        Stack without = three.without(figure.layer());
        assertThat(without.takingBack(three, without).stack()).isEqualTo(three);
        assertThat(three.takingBack(without, three).stack()).isEqualTo(without);
        Stack moved = three.moving(fence.layer(), 2);
        assertThat(moved.takingBack(three, moved).stack()).isEqualTo(three);
    }

    @Test
    void theOnlyLayerLeftIsNotTakenBack() {
        Stack one = new Stack(List.of(figure));
        Stack both = new Stack(List.of(figure, hills));
        Stack.TakenBack back = new Stack(List.of(hills)).takingBack(one, both);
        assertThat(back.stack().layers()).containsExactly(hills);
        assertThat(back.leftAlone()).isOne();
    }

    private static List<String> names(Stack stack) {
        return stack.layers().stream().map(Standing::name).toList();
    }
}
