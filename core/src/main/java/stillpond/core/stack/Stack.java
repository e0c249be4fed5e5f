package stillpond.core.stack;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import stillpond.core.history.Reversal;
import stillpond.core.refusal.Refusal;

/**
 * The layers of a sheet, from front to back; there is one at the least and {@value #MOST} at the most.
 *
 * <p>Values: every act gives a new stack.
 */
public record Stack(List<Standing> layers) {

    public static final int MOST = 24;

    public Stack {
        layers = List.copyOf(layers);
        if (layers.isEmpty()) {
            throw new Refusal("A sheet has one layer at the least.");
        }
        if (layers.size() > MOST) {
            throw new Refusal("A sheet has up to " + MOST + " layers, not " + layers.size() + ".");
        }
        if (new HashSet<>(ids(layers)).size() < layers.size()) {
            throw new Refusal("A layer stands in a sheet once.");
        }
    }

    public Optional<Standing> find(UUID layer) {
        return layers.stream().filter(each -> each.layer().equals(layer)).findFirst();
    }

    /** @throws Refusal if there is no such layer */
    public int indexOf(UUID layer) {
        int index = ids(layers).indexOf(layer);
        if (index < 0) {
            throw new Refusal("This layer is not there any more.");
        }
        return index;
    }

    public Stack changing(UUID layer, UnaryOperator<Standing> change) {
        List<Standing> all = new ArrayList<>(layers);
        int index = indexOf(layer);
        all.set(index, change.apply(all.get(index)));
        return new Stack(all);
    }

    /** @param by how many places towards the back; as far as it goes */
    public Stack moving(UUID layer, int by) {
        List<Standing> all = new ArrayList<>(layers);
        int from = indexOf(layer);
        Standing moved = all.remove(from);
        all.add((int) Math.max(0, Math.min(all.size(), (long) from + by)), moved);
        return new Stack(all);
    }

    /** Puts a layer into the stack, in front of the one with an index. */
    public Stack adding(Standing layer, int index) {
        List<Standing> all = new ArrayList<>(layers);
        all.add(Math.max(0, Math.min(all.size(), index)), layer);
        return new Stack(all);
    }

    /** @throws Refusal if it is the only one */
    public Stack without(UUID layer) {
        indexOf(layer);
        if (layers.size() == 1) {
            throw new Refusal("This is the only layer of the sheet, so it stays.");
        }
        return new Stack(
                layers.stream().filter(each -> !each.layer().equals(layer)).toList());
    }

    /** A stack after a change of it was taken back. @param leftAlone how many layers stay as they are, since they were changed since */
    public record TakenBack(Stack stack, int leftAlone) {}

    /** Takes a change back: each layer goes back unless it was changed since, and so does their order. */
    public TakenBack takingBack(Stack before, Stack after) {
        Reversal<UUID, Standing> back = Reversal.of(byId(), before.byId(), after.byId());
        List<UUID> order = new ArrayList<>(ids(layers).equals(ids(after.layers)) ? ids(before.layers) : ids(layers));
        for (UUID id : ids(before.layers)) {
            if (!order.contains(id)) {
                order.add(Math.min(ids(before.layers).indexOf(id), order.size()), id);
            }
        }
        back.entries().keySet().stream().filter(id -> !order.contains(id)).forEach(order::add);
        List<Standing> all = order.stream()
                .filter(back.entries()::containsKey)
                .map(back.entries()::get)
                .toList();
        return all.isEmpty() || all.size() > MOST
                ? new TakenBack(this, 1)
                : new TakenBack(new Stack(all), back.leftAlone().size());
    }

    private Map<UUID, Standing> byId() {
        Map<UUID, Standing> byId = new LinkedHashMap<>();
        layers.forEach(each -> byId.put(each.layer(), each));
        return byId;
    }

    private static List<UUID> ids(List<Standing> layers) {
        return layers.stream().map(Standing::layer).toList();
    }
}
