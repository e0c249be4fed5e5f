package stillpond.core.cut;

import java.util.ArrayList;
import java.util.List;

/**
 * The way of a drag knife along a closed line. The tip trails behind the axis, so the axis goes ahead of the tip by the blade's offset, and swivels around the tip at each corner;
 * it comes to the line with the tip behind it, and goes on over the start until the cut is closed.
 */
final class BladePath {

    /** The tip follows a lesser turn by itself. */
    private static final double LEAST_TURN = Math.toRadians(12);

    /** From the waste, where a straight lead-in would not lie on the line itself. */
    private static final double LEAD_IN_SLANT = Math.toRadians(25);

    private final List<Spot> spots;
    private final CutSettings settings;
    private final List<Cut.Move> moves = new ArrayList<>();

    private BladePath(List<Spot> spots, CutSettings settings) {
        this.spots = spots;
        this.settings = settings;
    }

    static Cut along(Outline line, Cut.Kind kind, CutSettings settings) {
        return new BladePath(line.begunWhereItIsStraight().spots(), settings).cut(kind, line.lengthMm());
    }

    private Cut cut(Cut.Kind kind, double lengthMm) {
        double offset = settings.bladeOffsetMm();
        Spot start = spots.get(0);
        Heading first = Heading.between(start, spots.get(1));
        double lead = settings.leadInMm();
        boolean isOnLine = start.distance(spots.get(spots.size() - 1)) >= lead;
        Heading in = isOnLine ? first : first.turned(LEAD_IN_SLANT);
        Spot down = start.along(in, offset - lead);
        if (lead > 0) {
            straightTo(start.along(in, offset));
        }
        Heading heading = in;
        for (int i = 0; i < spots.size(); i++) {
            Spot here = spots.get(i);
            Spot next = spots.get((i + 1) % spots.size());
            Heading ahead = Heading.between(here, next);
            turn(here, heading, ahead);
            straightTo(next.along(ahead, offset));
            heading = ahead;
        }
        turn(start, heading, first);
        // As far as the tip needs to be where it began.
        straightTo(start.along(first, 2 * offset));
        return new Cut(kind, down, moves, lengthMm);
    }

    private void turn(Spot around, Heading from, Heading to) {
        double turn = from.turnTo(to);
        Spot end = around.along(to, settings.bladeOffsetMm());
        if (settings.bladeOffsetMm() > 0 && Math.abs(turn) >= LEAST_TURN) {
            moves.add(new Cut.Move.Turn(end, around, turn > 0));
        }
    }

    private void straightTo(Spot to) {
        moves.add(new Cut.Move.Line(to));
    }
}
