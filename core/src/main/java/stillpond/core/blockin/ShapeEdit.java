package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What somebody does to the shapes of a layer.
 *
 * @param before the shapes as they were
 * @param after as they are then
 * @param chosen numbers of the shapes that are in the hand then
 * @param like by the number of each new shape, the shape whose fill it wears; those of which nothing is said wear none
 */
public record ShapeEdit(Shapes before, Shapes after, List<Integer> chosen, Map<Integer, Integer> like) {

    public ShapeEdit {
        chosen = List.copyOf(chosen);
        like = Map.copyOf(like);
    }

    static ShapeEdit of(Shapes before, Shapes after, List<Integer> chosen) {
        return new ShapeEdit(before, after, chosen, Map.of());
    }

    /** Shapes that are new or others now. */
    public List<Shape> put() {
        Map<Integer, Shape> was = new HashMap<>();
        before.all().forEach(shape -> was.put(shape.number(), shape));
        List<Shape> put = new ArrayList<>();
        for (Shape shape : after.all()) {
            if (!Objects.equals(was.get(shape.number()), shape)) {
                put.add(shape);
            }
        }
        return put;
    }

    /** All numbers, from back to front. */
    public List<Integer> order() {
        return after.all().stream().map(Shape::number).toList();
    }

    public boolean isNothing() {
        return before.equals(after);
    }
}
