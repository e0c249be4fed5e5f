package stillpond.core.gap;

import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.IntStream;
import stillpond.core.ink.Placing;

/** Brings what somebody has said about openings over to the openings of another analysis of the same page. Dams drawn by hand must have been drawn again before. */
public final class CarriedDams {

    /** Openings whose middles lie within so many stroke widths, or within half their own width, are the same gap. */
    private static final double SAME_PLACE = 1.5;

    /** As finely as a reach is stored. */
    private static final double SAME_REACH = 2e-6;

    private CarriedDams() {}

    /** @param placing where the fresh pixels lie among the old ones */
    public static Dams carry(Openings old, Dams dams, Openings fresh, Placing placing) {
        Map<Integer, DamState> states = new TreeMap<>();
        for (int i = 0; i < fresh.openings().size(); i++) {
            int index = i;
            same(fresh.openings().get(i), old, placing)
                    .map(dams::of)
                    .filter(said -> said != DamState.BY_REACH)
                    .ifPresent(said -> states.put(index, said));
        }
        Dams carried = Dams.at(reach(dams.reach(), old.defaultReach(), fresh.defaultReach()));
        return carried.after(carried.giving(states, OptionalDouble.empty()));
    }

    /** Levels of another version mean something else: a reach stays as far from the default, in shares of how far it could be. */
    private static double reach(double reach, double oldDefault, double freshDefault) {
        if (Math.abs(reach - oldDefault) < SAME_REACH) {
            return freshDefault;
        }
        return reach <= oldDefault
                ? reach * freshDefault / oldDefault
                : 1 - (1 - reach) * (1 - freshDefault) / (1 - oldDefault);
    }

    /** The old opening that lies where a fresh one does. */
    private static Optional<Integer> same(Opening opening, Openings old, Placing placing) {
        Point place = there(opening, placing);
        double reach = Math.max(SAME_PLACE * old.strokePx(), opening.widthPx() / 2);
        return IntStream.range(0, old.openings().size())
                .boxed()
                .filter(i -> old.openings().get(i).middle().distanceTo(place) <= reach)
                .min(Comparator.comparingDouble(
                        i -> old.openings().get(i).middle().distanceTo(place)));
    }

    private static Point there(Opening opening, Placing placing) {
        Point middle = opening.middle();
        return new Point(
                middle.x() * placing.xScale() + placing.dxPx(), middle.y() * placing.yScale() + placing.dyPx());
    }
}
