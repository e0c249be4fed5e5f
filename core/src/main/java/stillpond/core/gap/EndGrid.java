package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Stroke ends by place. */
final class EndGrid {

    /** More ends near one place are hatching or noise; the nearest are looked at. */
    private static final int MOST_NEAR = 60;

    private final double side;
    private final Map<Long, List<StrokeEnd>> squares = new HashMap<>();

    EndGrid(List<StrokeEnd> ends, double side) {
        this.side = Math.max(1, side);
        for (StrokeEnd end : ends) {
            squares.computeIfAbsent(key(end.tip().x(), end.tip().y()), key -> new ArrayList<>())
                    .add(end);
        }
    }

    /** The ends whose tips lie within a distance, nearest first. */
    List<StrokeEnd> near(Point place, double radius) {
        List<StrokeEnd> near = new ArrayList<>();
        for (double y = place.y() - radius; y < place.y() + radius + side; y += side) {
            for (double x = place.x() - radius; x < place.x() + radius + side; x += side) {
                for (StrokeEnd end : squares.getOrDefault(key(x, y), List.of())) {
                    if (end.tip().distanceTo(place) <= radius) {
                        near.add(end);
                    }
                }
            }
        }
        near.sort(Comparator.comparingDouble((StrokeEnd end) -> end.tip().distanceTo(place))
                .thenComparingInt(StrokeEnd::number));
        return near.size() > MOST_NEAR ? near.subList(0, MOST_NEAR) : near;
    }

    private long key(double x, double y) {
        return (long) Math.floor(x / side) << 32 | (long) Math.floor(y / side) & 0xffffffffL;
    }
}
