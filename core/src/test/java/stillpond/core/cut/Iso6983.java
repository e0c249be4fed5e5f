package stillpond.core.cut;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A reader of ISO 6983-1 for tests, written for itself: the ways of the axis while it is down, in small steps. */
final class Iso6983 {

    private static final Pattern WORD = Pattern.compile("([A-Z])(-?[0-9]*\\.?[0-9]+)");
    private static final double STEP_MM = 0.01;

    final List<List<double[]>> ways = new ArrayList<>();
    private double x;
    private double y;
    private double z = 1;
    private int motion;
    private boolean isOver;

    static Iso6983 read(String program) {
        Iso6983 reader = new Iso6983();
        assertThat(program).startsWith("%\n").endsWith("%\n").isASCII();
        long before = 0;
        for (String block : program.split("\n")) {
            if (block.startsWith("N")) {
                long number = Long.parseLong(block.substring(1, block.indexOf(' ')));
                assertThat(number).as("blocks are counted up").isGreaterThan(before);
                before = number;
                reader.block(block.substring(block.indexOf(' ') + 1));
            }
        }
        assertThat(reader.isOver).as("ended by M2").isTrue();
        return reader;
    }

    private void block(String block) {
        double toX = x;
        double toY = y;
        double toZ = z;
        double i = 0;
        double j = 0;
        Matcher word = WORD.matcher(block);
        while (word.find()) {
            double value = Double.parseDouble(word.group(2));
            switch (word.group(1)) {
                case "X" -> toX = value;
                case "Y" -> toY = value;
                case "Z" -> toZ = value;
                case "I" -> i = value;
                case "J" -> j = value;
                case "G" -> motion = value < 4 ? (int) value : motion;
                case "M" -> isOver |= value == 2;
                case "F" -> assertThat(value).isPositive();
                default -> throw new AssertionError(block);
            }
        }
        if (toZ < 0 && z >= 0) {
            ways.add(new ArrayList<>());
        }
        z = toZ;
        if (z < 0) {
            go(toX, toY, x + i, y + j);
        }
        x = toX;
        y = toY;
    }

    private void go(double toX, double toY, double middleX, double middleY) {
        List<double[]> way = ways.get(ways.size() - 1);
        if (motion < 2) {
            int steps = (int) Math.ceil(Math.hypot(toX - x, toY - y) / STEP_MM);
            for (int step = 0; step <= steps; step++) {
                double share = steps == 0 ? 1 : step / (double) steps;
                way.add(new double[] {x + share * (toX - x), y + share * (toY - y)});
            }
            return;
        }
        double radius = Math.hypot(x - middleX, y - middleY);
        assertThat(Math.hypot(toX - middleX, toY - middleY))
                .as("both ends of an arc are as far from its middle")
                .isBetween(radius - 0.003, radius + 0.003);
        double from = Math.atan2(y - middleY, x - middleX);
        double turn = Math.atan2(toY - middleY, toX - middleX) - from;
        turn = motion == 2 && turn > 0 ? turn - 2 * Math.PI : motion == 3 && turn < 0 ? turn + 2 * Math.PI : turn;
        for (int step = 1; step <= 50; step++) {
            double angle = from + turn * step / 50;
            way.add(new double[] {middleX + radius * Math.cos(angle), middleY + radius * Math.sin(angle)});
        }
    }

    /** Where the tip of a drag knife goes, that is pulled behind the axis at some distance. */
    static List<double[]> dragged(List<double[]> axis, double offset) {
        List<double[]> tip = new ArrayList<>();
        double[] at = {axis.get(0)[0] - offset, axis.get(0)[1]};
        for (double[] each : axis) {
            double away = Math.hypot(each[0] - at[0], each[1] - at[1]);
            if (away > offset) {
                double share = offset / away;
                at = new double[] {each[0] + (at[0] - each[0]) * share, each[1] + (at[1] - each[1]) * share};
            }
            tip.add(at);
        }
        return tip;
    }
}
