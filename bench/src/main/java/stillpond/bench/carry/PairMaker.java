package stillpond.bench.carry;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import stillpond.bench.flats.CaseMaker;
import stillpond.bench.flats.Motifs;
import stillpond.bench.flats.Style;

/** Makes two drawings of one thing, from a seed: the same seed makes the same pair on any machine. Both are drawn anew, with strokes, gaps and marks of their own. */
final class PairMaker {

    private static final int FIELD = 1000;
    private static final double SMOOTH = 0.4;

    private PairMaker() {}

    /** A thing of one piece, its second drawing perhaps mirrored, turned, smaller and bent. */
    static CarryCase bent(int seed) {
        Random random = new Random(3_000_017L * seed + 29);
        int motif = random.nextInt(Motifs.COUNT);
        List<Motifs.Piece> first = Motifs.draw(motif, random);
        int[] labels = labels(first.size(), random);
        List<Motifs.Piece> second = moved(first, movement(random));
        return new CarryCase("bent-" + seed, side(first, labels, random), side(second, labels, random));
    }

    /** A figure with joints in two poses, its parts perhaps over each other, mirrored and of another size. */
    static CarryCase jointed(int seed) {
        Random random = new Random(5_000_011L * seed + 31);
        JointedFigure figure = new JointedFigure(random);
        JointedFigure.Posed first = figure.pose(random);
        JointedFigure.Posed second = figure.pose(random);
        List<Motifs.Piece> there = moved(second.pieces(), movement(random));
        return new CarryCase(
                "jointed-" + seed, side(first.pieces(), first.labels(), random), side(there, second.labels(), random));
    }

    /** Some pieces share a label, as hands or leaves do. */
    private static int[] labels(int pieces, Random random) {
        int[] labels = new int[pieces];
        for (int i = 0; i < pieces; i++) {
            labels[i] = i > 0 && random.nextDouble() < SMOOTH ? labels[random.nextInt(i)] : i + 1;
        }
        return labels;
    }

    private static CarryCase.Side side(List<Motifs.Piece> pieces, int[] labels, Random random) {
        Style style = Style.random(random, false);
        double scale = style.sidePx() / (double) FIELD;
        List<Motifs.Piece> onPage = pieces.stream()
                .map(piece -> new Motifs.Piece(
                        piece.area().createTransformedArea(AffineTransform.getScaleInstance(scale, scale)),
                        piece.outline()))
                .toList();
        CaseMaker.Inked inked = CaseMaker.ink(onPage, style, random);
        int[] byPixel = new int[inked.top().length];
        for (int i = 0; i < byPixel.length; i++) {
            byPixel[i] = inked.top()[i] < 0 ? 0 : labels[inked.top()[i]];
        }
        return CarryCase.Side.of(inked.page(), byPixel);
    }

    /** Mirrored half of the time, turned by up to 25 degrees, scaled by 0.7 to 1 and bent along two waves. */
    private static UnaryOperator<double[]> movement(Random random) {
        boolean isMirrored = random.nextBoolean();
        double turn = Math.toRadians(25) * (2 * random.nextDouble() - 1);
        double scale = 0.7 + 0.3 * random.nextDouble();
        double cos = scale * Math.cos(turn);
        double sin = scale * Math.sin(turn);
        double bendX = 45 * random.nextDouble();
        double bendY = 45 * random.nextDouble();
        double phaseX = 6.28 * random.nextDouble();
        double phaseY = 6.28 * random.nextDouble();
        return at -> {
            double x = at[0] - FIELD / 2.0 + bendX * Math.sin(at[1] / 160 + phaseX);
            double y = at[1] - FIELD / 2.0 + bendY * Math.sin(at[0] / 160 + phaseY);
            x = isMirrored ? -x : x;
            return new double[] {FIELD / 2.0 + cos * x - sin * y, FIELD / 2.0 + sin * x + cos * y};
        };
    }

    private static List<Motifs.Piece> moved(List<Motifs.Piece> pieces, UnaryOperator<double[]> movement) {
        Area field = new Area(new Rectangle2D.Double(0, 0, FIELD, FIELD));
        List<Motifs.Piece> moved = new ArrayList<>();
        for (Motifs.Piece piece : pieces) {
            Area area = new Area(moved(piece.area(), movement));
            area.intersect(field);
            moved.add(new Motifs.Piece(area, piece.outline()));
        }
        return moved;
    }

    private static Shape moved(Shape shape, UnaryOperator<double[]> movement) {
        Path2D path = new Path2D.Double(Path2D.WIND_EVEN_ODD);
        double[] at = new double[6];
        double[] last = {0, 0};
        for (PathIterator way = shape.getPathIterator(null, 1); !way.isDone(); way.next()) {
            int kind = way.currentSegment(at);
            if (kind == PathIterator.SEG_CLOSE) {
                path.closePath();
                continue;
            }
            int steps =
                    kind == PathIterator.SEG_MOVETO ? 1 : 1 + (int) (Math.hypot(at[0] - last[0], at[1] - last[1]) / 12);
            for (int step = 1; step <= steps; step++) {
                double share = step / (double) steps;
                double[] point = kind == PathIterator.SEG_MOVETO
                        ? new double[] {at[0], at[1]}
                        : new double[] {last[0] + share * (at[0] - last[0]), last[1] + share * (at[1] - last[1])};
                double[] there = movement.apply(point);
                if (kind == PathIterator.SEG_MOVETO) {
                    path.moveTo(there[0], there[1]);
                } else {
                    path.lineTo(there[0], there[1]);
                }
            }
            last = new double[] {at[0], at[1]};
        }
        return path;
    }
}
