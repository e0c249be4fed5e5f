package stillpond.core.carry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Lays one drawing over another part by part: each region has a pose of its own, drawn along by those near it that have found their like
 * (S. Schaefer, T. McPhail, J. Warren, "Image Deformation Using Moving Least Squares", SIGGRAPH 2006, with similarities, and with the pose before as a weak tie; and as in
 * P. J. Besl, N. D. McKay, "A Method for Registration of 3-D Shapes", PAMI 14, 1992, finding likes and bending take turns).
 */
final class Bending {

    /** How far a like draws its surroundings along, as a share of the drawing's size: less from round to round. */
    private static final double[] REACH = {0.5, 0.4, 0.3, 0.22, 0.16, 0.12};
    /** How strongly a pose stays as it was, in likes. */
    private static final double TIE = 0.12;
    /** Two regions are taken for likes from this merit on. */
    private static final double LIKE = 0.3;

    /** Likes further off than so many reaches do not count. */
    private static final double FURTHEST = 4;
    /** So many likes draw a region along at the most. */
    private static final int MOST_DRAWING = 150;
    /** A merit above this counts no more. */
    private static final double BEST = 2;

    private static final double TRUSTED_SHARE = 0.3;
    private static final int TRUSTED_LIKES = 14;
    private static final double TRUSTED_TOUCHING = 0.8;
    private static final double LEAST_SCALE_CHANGE = 0.6;
    private static final double MOST_SCALE_CHANGE = 1.6;

    private final Drawing from;
    private final Drawing to;
    private final Set<Integer> meant;
    private final Set<Integer> counted;
    private final double size;
    private final Pose start;
    private final CarryWeights weights;
    private final Pose[] poses;
    private List<Pairing> pairings = List.of();

    private Bending(
            Drawing from, Set<Integer> meant, Set<Integer> counted, Drawing to, Pose start, CarryWeights weights) {
        this.from = from;
        this.to = to;
        this.meant = meant;
        this.counted = counted;
        this.start = start;
        this.weights = weights;
        this.poses = new Pose[from.count()];
        Arrays.fill(poses, start);
        this.size = Math.sqrt(counted.stream()
                .mapToDouble(region -> from.shape(region).area())
                .sum());
    }

    /**
     * @param meant regions of the first drawing that are laid over the second
     * @param counted those of them by which it is told how much has found its like
     */
    static Bending of(
            Drawing from, Set<Integer> meant, Set<Integer> counted, Drawing to, Pose start, CarryWeights weights) {
        Bending bending = new Bending(from, meant, counted, to, start, weights);
        for (double reach : REACH) {
            bending.pairings = bending.pair();
            bending.follow(thinned(bending.likes()), reach * bending.size);
        }
        bending.pairings = bending.pair();
        return bending;
    }

    /** Of very many likes every second, third, ... one, for they say the same. */
    private static List<Pairing> thinned(List<Pairing> likes) {
        int step = (likes.size() + MOST_DRAWING - 1) / MOST_DRAWING;
        return step <= 1
                ? likes
                : IntStream.range(0, likes.size() / step)
                        .mapToObj(i -> likes.get(i * step))
                        .toList();
    }

    /** Pairs of regions that may be each other's likes. */
    List<Pairing> pairings() {
        return pairings;
    }

    Pose pose(int region) {
        return poses[region];
    }

    /**
     * Whether so much has found its like that it is no accident. On the demo, model sheets laid over sheets that the character is on reach a share of 0.42 and up, over others at most 0.24,
     * with at most 12 likes.
     */
    boolean isTrusted() {
        double all = counted.stream()
                .mapToDouble(region -> BEST * from.shape(region).size())
                .sum();
        List<Pairing> likes = countedLikes();
        return found() >= TRUSTED_SHARE * all || likes.size() >= TRUSTED_LIKES && touching(likes) >= TRUSTED_TOUCHING;
    }

    /** Of pairs of likes that touch in the first drawing, the share that touches in the second. */
    private double touching(List<Pairing> likes) {
        Map<Integer, Integer> like = new HashMap<>();
        likes.forEach(each -> like.put(each.from(), each.to()));
        int pairs = 0;
        int touching = 0;
        for (Pairing each : likes) {
            for (int neighbour : from.neighbours(each.from()).keySet()) {
                if (like.containsKey(neighbour)) {
                    pairs++;
                    touching += to.neighbours(each.to()).containsKey(like.get(neighbour)) ? 1 : 0;
                }
            }
        }
        return pairs == 0 ? 0 : touching / (double) pairs;
    }

    /** How much of the first drawing has found its like, by size. */
    double found() {
        return countedLikes().stream()
                .mapToDouble(like -> from.shape(like.from()).size() * Math.min(BEST, like.merit()))
                .sum();
    }

    private List<Pairing> countedLikes() {
        return likes().stream().filter(like -> counted.contains(like.from())).toList();
    }

    /** Pairs each of which is the other's best. */
    List<Pairing> likes() {
        Map<Integer, Pairing> bestOfFrom = new HashMap<>();
        Map<Integer, Pairing> bestOfTo = new HashMap<>();
        for (Pairing each : pairings) {
            bestOfFrom.merge(each.from(), each, Bending::better);
            bestOfTo.merge(each.to(), each, Bending::better);
        }
        return bestOfFrom.values().stream()
                .filter(each -> each.merit() > LIKE && bestOfTo.get(each.to()) == each)
                .sorted((x, y) -> Integer.compare(x.from(), y.from()))
                .toList();
    }

    private static Pairing better(Pairing one, Pairing other) {
        return other.merit() > one.merit() ? other : one;
    }

    private List<Pairing> pair() {
        List<Pairing> all = new ArrayList<>();
        int[] hits = new int[to.count()];
        for (int region : meant) {
            Shape shape = from.shape(region);
            Pose pose = poses[region];
            double x = pose.x(shape.x(), shape.y());
            double y = pose.y(shape.x(), shape.y());
            double laidArea = shape.area() * pose.scale() * pose.scale();
            int[] samples = from.samples(region);
            Arrays.fill(hits, 0);
            for (int i = 0; i < samples.length; i += 2) {
                double sampleX = samples[i] + 0.5;
                double sampleY = samples[i + 1] + 0.5;
                int there = to.at(pose.x(sampleX, sampleY), pose.y(sampleX, sampleY));
                if (there >= 0) {
                    hits[there]++;
                }
            }
            double nearby = 1.2 * Math.sqrt(laidArea) + 0.04 * size * pose.scale();
            for (Shape other : to.shapes()) {
                double dx = other.x() - x;
                double dy = other.y() - y;
                if (hits[other.region()] > 0 || dx * dx + dy * dy < nearby * nearby) {
                    double distance = Math.sqrt(dx * dx + dy * dy);
                    double common = samples.length == 0 ? 0 : laidArea * hits[other.region()] / (samples.length / 2.0);
                    double within = Math.min(common, Math.min(laidArea, other.area()));
                    double overlap = within / (laidArea + other.area() - within);
                    all.add(new Pairing(
                            region,
                            other.region(),
                            overlap,
                            Math.min(1, within / other.area()),
                            Math.log(other.area() / laidArea),
                            distance / Math.sqrt(Math.max(laidArea, other.area())),
                            shape.unlike(other),
                            pose,
                            weights));
                }
            }
        }
        return all;
    }

    private void follow(List<Pairing> likes, double reach) {
        Pose[] next = poses.clone();
        for (int region : meant) {
            next[region] = drawnAlong(region, likes, reach);
        }
        System.arraycopy(next, 0, poses, 0, poses.length);
    }

    private Pose drawnAlong(int region, List<Pairing> likes, double reach) {
        Shape shape = from.shape(region);
        Pose before = poses[region];
        Fit fit = new Fit(start.isMirrored());
        for (Pairing like : likes) {
            Shape near = from.shape(like.from());
            double dx = near.x() - shape.x();
            double dy = near.y() - shape.y();
            double away = (dx * dx + dy * dy) / (reach * reach);
            if (away < FURTHEST * FURTHEST) {
                double weight = Math.exp(-0.5 * away) * Math.min(BEST, like.merit());
                Shape there = to.shape(like.to());
                fit.add(near.x(), near.y(), there.x(), there.y(), weight);
            }
        }
        for (int corner = 0; corner < 4; corner++) {
            double x = shape.x() + (corner % 2 == 0 ? -reach : reach);
            double y = shape.y() + (corner < 2 ? -reach : reach);
            fit.add(x, y, before.x(x, y), before.y(x, y), TIE);
        }
        Pose fitted = fit.pose();
        double change = fitted.scale() / start.scale();
        return change < LEAST_SCALE_CHANGE || change > MOST_SCALE_CHANGE ? before : fitted;
    }
}
