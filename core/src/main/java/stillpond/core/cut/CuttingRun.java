package stillpond.core.cut;

import java.util.ArrayList;
import java.util.List;

/**
 * What a machine does with a program of ISO 6983: where the axis goes, and how long it takes.
 *
 * @param strokes each way with the blade down
 * @param travelMm with the blade up
 */
public record CuttingRun(List<Stroke> strokes, double cutMm, double travelMm, double seconds) {

    public CuttingRun {
        strokes = List.copyOf(strokes);
    }

    /** Places of the axis, x right and y up from the lower left of the page. */
    public record Stroke(List<Spot> spots) {
        public Stroke {
            spots = List.copyOf(spots);
        }
    }

    /** Gathers what is done, move by move. */
    static final class Recorder {
        private final List<Stroke> strokes = new ArrayList<>();
        private List<Spot> open = new ArrayList<>();
        private double cut;
        private double travel;
        private double seconds;

        void begin(Spot at) {
            open = new ArrayList<>(List.of(at));
        }

        void end() {
            if (open.size() > 1) {
                strokes.add(new Stroke(open));
            }
            open = new ArrayList<>();
        }

        void move(Spot from, Spot to, boolean isDown, double mmPerSecond) {
            double length = from.distance(to);
            seconds += length / mmPerSecond;
            if (isDown) {
                cut += length;
                open.add(to);
            } else {
                travel += length;
            }
        }

        void wait(double forSeconds) {
            seconds += forSeconds;
        }

        CuttingRun run() {
            return new CuttingRun(strokes, cut, travel, seconds);
        }
    }
}
