package stillpond.core.format;

import java.util.Locale;
import java.util.stream.Collectors;
import stillpond.core.cut.Cut;
import stillpond.core.cut.CutJob;
import stillpond.core.cut.CutMarks;
import stillpond.core.cut.CuttingRun;
import stillpond.core.cut.Laid;
import stillpond.core.cut.Spot;

/** A cutting job as files: a program of ISO 6983-1 for machines, and a drawing as SVG for people and programs. */
public final class CutFiles {

    private static final double DOWN_MM = -1;
    private static final double UP_MM = 2;
    private static final int SECONDS = 60;
    private static final double THOUSAND = 1000;
    private static final double WIDTHS_OF_LINE = 400;

    private CutFiles() {}

    /** The program: millimetres, absolute, x right and y up from the lower left of the page with its border. */
    public static String program(CutJob job) {
        return new Program(job).write();
    }

    private static final class Program {
        private final CutJob job;
        private final StringBuilder text = new StringBuilder();
        private int line;

        Program(CutJob job) {
            this.job = job;
        }

        String write() {
            text.append("%\n(").append(comment(job.name())).append(")\n");
            block("G17 G21 G90 G94");
            block("G0 Z" + number(UP_MM));
            for (Cut cut : job.cuts()) {
                cut(cut);
            }
            block("G0 X0 Y0");
            block("M2");
            return text.append("%\n").toString();
        }

        private void cut(Cut cut) {
            block("G0" + place(cut.start()));
            block("G1 Z" + number(DOWN_MM) + " F"
                    + number(SECONDS * job.settings().feedMmPerSecond()));
            Spot at = cut.start();
            for (Cut.Move move : cut.moves()) {
                if (move instanceof Cut.Move.Turn turn) {
                    block((turn.isClockwise() ? "G2" : "G3") + place(turn.to())
                            + " I" + number(turn.around().xMm() - at.xMm())
                            + " J" + number(at.yMm() - turn.around().yMm()));
                } else {
                    block("G1" + place(move.to()));
                }
                at = move.to();
            }
            block("G0 Z" + number(UP_MM));
        }

        private String place(Spot spot) {
            return " X" + number(spot.xMm() + CutMarks.BORDER_MM) + " Y"
                    + number(job.heightMm() - spot.yMm() + CutMarks.BORDER_MM);
        }

        private void block(String words) {
            line += 10;
            text.append('N').append(line).append(' ').append(words).append('\n');
        }

        /** A comment of the standard has no brackets in it, and machines know few letters. */
        private static String comment(String name) {
            return name.replaceAll("[^A-Za-z0-9 .,-]", "?");
        }
    }

    /** The way of the axis as lines of 0.1 mm, one path for each cut. Its size is that of the page. */
    public static String drawing(CutJob job) {
        String paths = job.cuts().stream()
                .map(cut -> "  <path class=\"" + cut.kind().name().toLowerCase(Locale.ROOT) + "\" d=\"" + way(cut)
                        + "\"/>\n")
                .collect(Collectors.joining());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" version=\"1.1\" width=\""
                + number(job.widthMm()) + "mm\" height=\"" + number(job.heightMm()) + "mm\" viewBox=\"0 0 "
                + number(job.widthMm()) + " " + number(job.heightMm()) + "\">\n <title>" + SvgNames.text(job.name())
                + "</title>\n <style>path{fill:none;stroke:#000;stroke-width:.1}.weed{stroke-dasharray:1}</style>\n <g>\n"
                + paths + " </g>\n</svg>\n";
    }

    /**
     * What a machine did, on the page that it was meant for, as a picture to lay over it.
     *
     * @param laid how the sheet lay
     */
    public static String followed(CuttingRun run, Laid laid, CutJob job) {
        Laid back = laid.inverse();
        StringBuilder paths = new StringBuilder();
        for (CuttingRun.Stroke stroke : run.strokes()) {
            String start = "M";
            for (Spot spot : stroke.spots()) {
                Spot meant = back.of(spot);
                paths.append(start)
                        .append(pair(new Spot(
                                meant.xMm() - CutMarks.BORDER_MM, job.heightMm() + CutMarks.BORDER_MM - meant.yMm())));
                start = "L";
            }
        }
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 "
                + number(job.widthMm()) + " " + number(job.heightMm())
                + "\"><path fill=\"none\" stroke=\"#000\" stroke-width=\"" + number(job.widthMm() / WIDTHS_OF_LINE)
                + "\" d=\"" + paths + "\"/></svg>\n";
    }

    private static String way(Cut cut) {
        StringBuilder way = new StringBuilder("M" + pair(cut.start()));
        for (Cut.Move move : cut.moves()) {
            if (move instanceof Cut.Move.Turn turn) {
                String radius = number(turn.around().distance(turn.to()));
                way.append(" A")
                        .append(radius)
                        .append(' ')
                        .append(radius)
                        .append(" 0 0 ")
                        .append(turn.isClockwise() ? 1 : 0)
                        .append(' ')
                        .append(pair(turn.to()));
            } else {
                way.append(" L").append(pair(move.to()));
            }
        }
        return way.toString();
    }

    private static String pair(Spot spot) {
        return number(spot.xMm()) + " " + number(spot.yMm());
    }

    /** Thousandths, which is less than any machine is exact to. */
    static String number(double value) {
        double rounded = Math.round(value * THOUSAND) / THOUSAND;
        return rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
    }
}
