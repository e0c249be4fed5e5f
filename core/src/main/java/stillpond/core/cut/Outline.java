package stillpond.core.cut;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.shape.Cubic;

/**
 * A closed line, the last place of which is joined to the first. What it bounds lies on the right hand of who goes along it, so the waste is on the left.
 *
 * @param isHole whether it goes around a hole, and not around a piece
 */
record Outline(List<Spot> spots, boolean isHole) {

    private static final double OFF_MM = 0.01;
    private static final int MOST_STEPS = 64;
    /** Shorter steps are none: they have no direction to speak of. */
    private static final double NO_STEP_MM = 1e-4;

    Outline {
        spots = List.copyOf(spots);
    }

    /** @param loop as {@link stillpond.core.shape.SmoothMap#around} gives it: clockwise around a face */
    static Outline of(List<Cubic> loop, double mmPerPx) {
        List<Spot> spots = new ArrayList<>();
        for (Cubic curve : loop) {
            int steps = curve.steps(OFF_MM / mmPerPx, MOST_STEPS);
            for (int i = 0; i < steps; i++) {
                double share = i / (double) steps;
                Spot spot = new Spot(curve.x(share) * mmPerPx, curve.y(share) * mmPerPx);
                if (spots.isEmpty() || spots.get(spots.size() - 1).distance(spot) > NO_STEP_MM) {
                    spots.add(spot);
                }
            }
        }
        while (spots.size() > 1 && spots.get(0).distance(spots.get(spots.size() - 1)) <= NO_STEP_MM) {
            spots.remove(spots.size() - 1);
        }
        return new Outline(spots, twiceArea(spots) < 0);
    }

    /** What it bounds, without regard to holes in it. */
    double areaMm2() {
        return Math.abs(twiceArea(spots)) / 2;
    }

    /** The shoelace formula; positive if it runs clockwise, for y goes down. */
    private static double twiceArea(List<Spot> spots) {
        double twice = 0;
        for (int i = 0; i < spots.size(); i++) {
            Spot here = spots.get(i);
            Spot next = spots.get((i + 1) % spots.size());
            twice += here.xMm() * next.yMm() - next.xMm() * here.yMm();
        }
        return twice;
    }

    double lengthMm() {
        double length = 0;
        for (int i = 0; i < spots.size(); i++) {
            length += spots.get(i).distance(spots.get((i + 1) % spots.size()));
        }
        return length;
    }

    /** Whether a place lies inside (even-odd rule). */
    boolean contains(Spot spot) {
        boolean isInside = false;
        for (int i = 0; i < spots.size(); i++) {
            Spot a = spots.get(i);
            Spot b = spots.get((i + 1) % spots.size());
            if (a.yMm() > spot.yMm() != b.yMm() > spot.yMm()) {
                double crossing = a.xMm() + (spot.yMm() - a.yMm()) / (b.yMm() - a.yMm()) * (b.xMm() - a.xMm());
                isInside ^= spot.xMm() < crossing;
            }
        }
        return isInside;
    }

    Frame frame() {
        Frame frame = Frame.NONE;
        for (Spot spot : spots) {
            frame = frame.with(spot);
        }
        return frame;
    }

    /** The same line begun in the middle of its longest straight step, where it is easiest to join both ends. */
    Outline begunWhereItIsStraight() {
        int longest = 0;
        double length = 0;
        for (int i = 0; i < spots.size(); i++) {
            double step = spots.get(i).distance(spots.get((i + 1) % spots.size()));
            if (step > length) {
                length = step;
                longest = i;
            }
        }
        Spot from = spots.get(longest);
        Spot to = spots.get((longest + 1) % spots.size());
        List<Spot> begun = new ArrayList<>();
        begun.add(new Spot((from.xMm() + to.xMm()) / 2, (from.yMm() + to.yMm()) / 2));
        for (int i = 1; i <= spots.size(); i++) {
            begun.add(spots.get((longest + i) % spots.size()));
        }
        return new Outline(begun, isHole);
    }
}
