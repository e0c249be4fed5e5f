package stillpond.core.format;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import stillpond.core.cell.CellMap;
import stillpond.core.gap.Opening;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;

/** The stored form of openings, without their cells; see {@code docs/formats.md}. */
public final class OpeningsCodec {

    private static final double TENTHS = 10;
    private static final double THOUSANDTHS = 1000;
    private static final double MILLIONTHS = 1_000_000;

    private OpeningsCodec() {}

    public static byte[] encode(Openings openings) {
        return PlaneCodec.gzip(out -> {
            out.number(fixed(openings.strokePx(), THOUSANDTHS));
            out.number(fixed(openings.defaultReach(), MILLIONTHS));
            out.number(openings.isLimited() ? 1 : 0);
            out.number(openings.openings().size());
            for (Opening opening : openings.openings()) {
                write(opening, out);
            }
        });
    }

    /** @param cells the cells that the openings were stored for */
    public static Openings decode(byte[] stored, CellMap cells) {
        Sent read = PlaneCodec.gunzip(stored, OpeningsCodec::readSent);
        return new Openings(
                cells, read.openings().all(), read.openings().strokePx(), read.defaultReach(), read.isLimited());
    }

    /**
     * Openings as they are sent.
     *
     * @param defaultReach the reach that they suggest themselves, 0 to 1
     * @param isLimited whether there were more possible gaps than are looked at
     */
    public record Sent(OpeningList openings, double defaultReach, boolean isLimited) {

        /** While none are known. */
        public static final Sent NONE = new Sent(new OpeningList(List.of(), 1), 1, false);
    }

    /** Reads openings as they were sent: not zipped any more. */
    public static Sent read(byte[] sent) {
        return PlaneCodec.reading(sent, OpeningsCodec::readSent);
    }

    private static Sent readSent(NumberReader in) throws IOException {
        double stroke = in.number() / THOUSANDTHS;
        double reach = in.number() / MILLIONTHS;
        boolean isLimited = in.number() == 1;
        return new Sent(new OpeningList(readAll(in), stroke), reach, isLimited);
    }

    private static List<Opening> readAll(NumberReader in) throws IOException {
        int count = in.number();
        List<Opening> openings = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            openings.add(read(in));
        }
        return openings;
    }

    static void write(Opening opening, NumberWriter out) throws IOException {
        out.number(opening.first());
        out.number(opening.second());
        out.number(opening.kind().ordinal());
        out.number(fixed(opening.widthPx(), TENTHS));
        out.number(fixed(opening.widthStrokes(), THOUSANDTHS));
        out.number(fixed(opening.strength(), MILLIONTHS));
        out.number(opening.line().size());
        for (Point point : opening.line()) {
            out.signed(fixed(point.x(), TENTHS));
            out.signed(fixed(point.y(), TENTHS));
        }
    }

    static Opening read(NumberReader in) throws IOException {
        int first = in.number();
        int second = in.number();
        Opening.Kind kind = Opening.Kind.values()[in.number()];
        double width = in.number() / TENTHS;
        double strokes = in.number() / THOUSANDTHS;
        double strength = in.number() / MILLIONTHS;
        int points = in.number();
        List<Point> line = new ArrayList<>(points);
        for (int i = 0; i < points; i++) {
            double x = in.signed() / TENTHS;
            line.add(new Point(x, in.signed() / TENTHS));
        }
        return new Opening(first, second, kind, line, width, strokes, strength);
    }

    private static int fixed(double value, double parts) {
        return (int) Math.round(value * parts);
    }
}
