package stillpond.app.device;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import stillpond.core.cut.CutMarks;
import stillpond.core.cut.CutterController;
import stillpond.core.cut.CuttingRun;
import stillpond.core.cut.Laid;
import stillpond.core.cut.Spot;

/** A flat cutter on which sheets lie a little askew, each in its own way, with a camera that sees marks to a twentieth of a millimetre. */
@Component
class SimulatedCutter implements Cutter {

    private static final Bed BED = new Bed(1300, 1000);
    private static final double MOST_TURN = Math.toRadians(0.7);
    private static final double MOST_ASIDE_MM = 4;
    private static final double SEEN_MM = 0.05;
    private static final int STEPS = 256;

    @Override
    public Bed bed() {
        return BED;
    }

    @Override
    public Laid find(UUID job, double widthMm, double heightMm) {
        List<Spot> meant = CutMarks.around(widthMm, heightMm);
        Laid lies = lies(job);
        return Laid.of(meant, meant.stream().map(mark -> seen(lies.of(mark))).toList());
    }

    /** Never over the edges that the axis cannot cross: turned so that what is turned away is made up for. */
    private static Laid lies(UUID job) {
        long bits = job.getLeastSignificantBits();
        double turn = MOST_TURN * (bits & STEPS - 1) / STEPS;
        double across = MOST_ASIDE_MM * (bits >>> 8 & STEPS - 1) / STEPS;
        double up = MOST_ASIDE_MM * (bits >>> 16 & STEPS - 1) / STEPS;
        double sin = Math.sin(turn);
        double cos = Math.cos(turn);
        return new Laid(cos, -sin, across + BED.heightMm() * sin, sin, cos, up);
    }

    private static Spot seen(Spot mark) {
        return new Spot(SEEN_MM * Math.round(mark.xMm() / SEEN_MM), SEEN_MM * Math.round(mark.yMm() / SEEN_MM));
    }

    @Override
    public CuttingRun cut(String program, Laid laid) {
        return CutterController.follow(program, BED.widthMm(), BED.heightMm(), laid);
    }
}
