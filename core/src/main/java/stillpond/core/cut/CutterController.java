package stillpond.core.cut;

import java.util.HashMap;
import java.util.Map;
import stillpond.core.refusal.Refusal;

/**
 * The controller of a cutter, simulated: reads programs of ISO 6983-1 as far as flat cutting needs them (G0, G1, G2, G3 with I and J, G4, G17, G21, G90, M2, M30; words X, Y, Z, F, N) and
 * follows them. The blade is down while Z is below zero.
 */
public final class CutterController {

    private static final int MOST_LINES = 2_000_000;
    private static final double TRAVEL_MM_PER_SECOND = 400;
    private static final double LIFT_SECONDS = 0.08;
    private static final double ARC_STEP = Math.toRadians(10);

    private final double widthMm;
    private final double heightMm;
    private final Laid laid;
    private final CuttingRun.Recorder recorder = new CuttingRun.Recorder();
    private Spot wanted = new Spot(0, 0);
    private Spot at = new Spot(0, 0);
    private boolean isDown;
    private double feed = 1;
    private int motion;
    private boolean isOver;

    private CutterController(double widthMm, double heightMm, Laid laid) {
        this.widthMm = widthMm;
        this.heightMm = heightMm;
        this.laid = laid;
    }

    /**
     * @param widthMm how far the axis goes, as {@code heightMm}
     * @param laid how the sheet lies, which the program does not know of
     * @throws Refusal naming the line that it cannot follow
     */
    public static CuttingRun follow(String program, double widthMm, double heightMm, Laid laid) {
        CutterController controller = new CutterController(widthMm, heightMm, laid);
        String[] lines = program.split("\n", MOST_LINES + 1);
        for (int i = 0; i < lines.length && !controller.isOver; i++) {
            if (i == MOST_LINES) {
                throw new Refusal("The program is longer than the cutter can keep.");
            }
            try {
                controller.line(lines[i].strip());
            } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
                throw new Refusal("The cutter cannot follow line " + (i + 1) + " of the program: " + e.getMessage(), e);
            }
        }
        if (!controller.isOver) {
            throw new Refusal("The program breaks off before its end.");
        }
        controller.recorder.end();
        return controller.recorder.run();
    }

    private void line(String line) {
        if (line.isEmpty() || line.startsWith("%") || line.startsWith("(")) {
            return;
        }
        Map<Character, Double> words = new HashMap<>();
        for (String word : line.split(" +")) {
            char address = word.charAt(0);
            double value = Double.parseDouble(word.substring(1));
            if (address == 'G') {
                mode((int) value);
            } else if (address == 'M') {
                end((int) value);
            } else if ("XYZIJFNP".indexOf(address) < 0) {
                throw new IllegalArgumentException("there is no word " + address);
            } else {
                words.put(address, value);
            }
        }
        feed = words.getOrDefault('F', feed * 60) / 60;
        if (feed <= 0) {
            throw new IllegalArgumentException("the feed is not above zero");
        }
        if (motion == 4) {
            recorder.wait(words.getOrDefault('P', 0.0));
            motion = 1;
        } else {
            lift(words);
            move(words);
        }
    }

    private void mode(int number) {
        switch (number) {
            case 0, 1, 2, 3, 4 -> motion = number;
            case 17, 21, 90, 94 -> {
                // The plane, the unit, absolute places and feed in a minute: as it works anyway.
            }
            default -> throw new IllegalArgumentException("it does not know G" + number);
        }
    }

    private void end(int number) {
        if (number != 2 && number != 30) {
            throw new IllegalArgumentException("it does not know M" + number);
        }
        isOver = true;
    }

    private void lift(Map<Character, Double> words) {
        boolean down = words.containsKey('Z') ? words.get('Z') < 0 : isDown;
        if (down != isDown) {
            recorder.wait(LIFT_SECONDS);
            isDown = down;
            if (isDown) {
                recorder.begin(at);
            } else {
                recorder.end();
            }
        }
    }

    private void move(Map<Character, Double> words) {
        Spot from = wanted;
        wanted = new Spot(words.getOrDefault('X', from.xMm()), words.getOrDefault('Y', from.yMm()));
        Spot to = laid.of(wanted);
        if (!(to.xMm() >= 0 && to.xMm() <= widthMm && to.yMm() >= 0 && to.yMm() <= heightMm)) {
            throw new IllegalArgumentException("that place lies beyond its reach of " + Math.round(widthMm) + " x "
                    + Math.round(heightMm) + " mm");
        }
        if (motion == 2 || motion == 3) {
            arc(
                    to,
                    laid.of(new Spot(
                            from.xMm() + words.getOrDefault('I', 0.0), from.yMm() + words.getOrDefault('J', 0.0))));
        } else {
            recorder.move(at, to, isDown, motion == 0 ? TRAVEL_MM_PER_SECOND : feed);
        }
        at = to;
    }

    /** G2 goes clockwise, seen from above with y up. */
    private void arc(Spot to, Spot middle) {
        double from = Math.atan2(at.yMm() - middle.yMm(), at.xMm() - middle.xMm());
        double end = Math.atan2(to.yMm() - middle.yMm(), to.xMm() - middle.xMm());
        double turn = motion == 2 ? from - end : end - from;
        turn = turn <= 0 ? turn + 2 * Math.PI : turn;
        double radius = middle.distance(to);
        int steps = (int) Math.ceil(turn / ARC_STEP);
        Spot here = at;
        for (int i = 1; i <= steps; i++) {
            double angle = from + (motion == 2 ? -turn : turn) * i / steps;
            Spot next = i == steps
                    ? to
                    : new Spot(middle.xMm() + radius * Math.cos(angle), middle.yMm() + radius * Math.sin(angle));
            recorder.move(here, next, isDown, feed);
            here = next;
        }
    }
}
